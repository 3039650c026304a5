export const { expect, test, it, describe, beforeAll, afterAll, beforeEach, afterEach, jest } = globalThis;

// files share a worker: what one of them replaced, kept or left on the page is gone for the next
afterAll(() => jest.restoreAllMocks());
globalThis.beginFile?.();
