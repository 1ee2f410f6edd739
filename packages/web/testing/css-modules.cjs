// Style sheets in unit tests: every class is called by its own name.
module.exports = new Proxy({}, { get: (_, name) => (name === '__esModule' ? false : String(name)) });
