export * from './quantity';
export * from './convert';
export * from './rational';
export * from './calendar';
export * from './money';
