export { dewPointC, dewPointInput, FACE_MARGIN_C } from './dewPoint';
export { isTooDamp } from './tooDamp';
export { dewPointCalculation } from './calculation';
