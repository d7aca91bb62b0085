export { dewPointC, dewPointInput, FACE_MARGIN_C } from './dewPoint';
