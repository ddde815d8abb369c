export * from './asset';
export * from './command';
export * from './ids';
export * from './judge';
export * from './people';
export * from './problem';
export * from './progress';
export * from './repair';
