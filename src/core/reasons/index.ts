export * from './reason';
export * from './figure';
