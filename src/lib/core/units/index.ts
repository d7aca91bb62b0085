export * from './factors';
export * from './quantity';
export { parseNumber } from './parseNumber';
export { parseQuantity, MAX_QUANTITY_TEXT, type QuantityReading } from './parseQuantity';
export { digits, formatDrops, formatOther, formatQuantity, formatTime } from './formatQuantity';
export { axisUnit, onAxis, type AxisKind } from './axis';
export { roundedBand } from './band';
export { parseRange, type QuantityRange } from './parseRange';
export { textInUnits } from './textInUnits';
