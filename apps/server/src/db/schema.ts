export * from './audit';
export * from './people';
export * from './plant';
export * from './presence';
export * from './relations';
export * from './repairs';
export * from './shelf';
