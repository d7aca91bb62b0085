export * from './factors';
export * from './quantity';
export { parseNumber } from './parseNumber';
export { parseQuantity, MAX_QUANTITY_TEXT, type QuantityReading } from './parseQuantity';
export { digits, formatOther, formatQuantity, formatTime } from './formatQuantity';
