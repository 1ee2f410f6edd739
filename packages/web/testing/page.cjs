// A page for tests of what needs one: jsdom with the parts of a browser that it leaves out and Node.js has.
const { TestEnvironment } = require('jest-environment-jsdom');

const { fetch, Headers, Request, Response, structuredClone, TextDecoder, TextEncoder } = globalThis;

module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { fetch, Headers, Request, Response, structuredClone, TextDecoder, TextEncoder });
  }

  // The same files of packages as everywhere else in the tests.
  exportConditions() {
    return ['node', 'node-addons'];
  }
};
