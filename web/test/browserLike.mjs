// A browser's globals in Node: jsdom's document, and a database that is kept in memory.
import globalJsdom from 'global-jsdom';
import 'fake-indexeddb/auto';

globalJsdom();
globalThis.IS_REACT_ACT_ENVIRONMENT = true;

// jsdom lays nothing out: every element is 800 by 400 here, so that drawings to scale have a scale
globalThis.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
Element.prototype.getBoundingClientRect = () => ({
  x: 0,
  y: 0,
  left: 0,
  top: 0,
  right: 800,
  bottom: 400,
  width: 800,
  height: 400,
  toJSON: () => ({}),
});
HTMLDialogElement.prototype.showModal ??= function showModal() {
  this.setAttribute('open', '');
};
