export * from './cutReadings';
export * from './layout';
export * from './nest/packBoxes';
export * from './toolpath/svgCutFile';
export * from './weeding';
