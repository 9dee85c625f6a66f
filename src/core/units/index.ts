export * from './quantity';
export * from './convert';
export * from './rational';
