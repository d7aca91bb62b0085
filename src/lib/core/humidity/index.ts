export { dewPointC, FACE_MARGIN_C } from './dewPoint';
export { dewPointInput } from './dewPointInput';
export { isTooDamp } from './tooDamp';
export { dewPointCalculation } from './calculation';
