/** What the other features see of signing in and out. */
export { leave } from './leave';
export { SignOut } from './SignOut';
