export * from './people';
export * from './plant';
export * from './repairs';
