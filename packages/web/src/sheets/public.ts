/** What the other features see of test results. */
export { Entries } from './EntryList';
