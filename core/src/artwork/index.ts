export * from './drawMark';
export * from './edit/applyEdits';
export * from './import/importSvg';
export * from './import/colour';
export * from './inspect/parts';
export * from './text/face';
export * from './text/layoutText';
