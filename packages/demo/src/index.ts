export * from './cards/index';
export * from './people';
export * from './plant';
export * from './repairs';
