// A page on a busy machine is given as much time for what it fetches as a test has.
require('@testing-library/react').configure({ asyncUtilTimeout: 50_000 });
