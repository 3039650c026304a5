import { TestEnvironment } from 'jest-environment-jsdom';

/** jsdom with the platform pieces that it leaves out, handed in from Node. */
export default class BrowserLike extends TestEnvironment {
  async setup() {
    await super.setup();
    Object.assign(this.global, { TextEncoder, TextDecoder, structuredClone });
  }
}
