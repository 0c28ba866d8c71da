export * from './reading.js';
export * from './simulatedDevice.js';
