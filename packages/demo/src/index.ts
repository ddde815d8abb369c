export * from './cards/index';
export * from './families';
export * from './people';
export * from './plant';
export * from './repairs';
export * from './instruments/weather';
export * from './shelf';
export * from './meets';
