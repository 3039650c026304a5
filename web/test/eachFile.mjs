import { cleanup, configure } from '@testing-library/react';
import Dexie from 'dexie';
import { IDBFactory } from 'fake-indexeddb';

// what is waited for may come late on a busy machine; what never comes ends with the run
configure({ asyncUtilTimeout: 300_000 });

/** What each file begins with: an empty page and an empty browser. */
globalThis.beginFile = () => {
  globalThis.afterEach(cleanup);
  globalThis.indexedDB = new IDBFactory();
  Dexie.dependencies.indexedDB = globalThis.indexedDB;
  localStorage.clear();
};
