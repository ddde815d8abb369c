export * from './audit';
export * from './people';
export * from './plant';
export * from './repairs';
export * from './shelf';
