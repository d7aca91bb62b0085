export { caution, cautionsFor, CAUTION_ORDER, type CautionTopic } from './cautions';
