export * from './duration';
export * from './inSentence';
export * from './length';
export * from './money';
export * from './result';
export * from './temperature';
export * from './tolerances';
export * from './xmlText';
