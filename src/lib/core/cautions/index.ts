export { caution, cautionsFor, cautionsForResin, CAUTION_ORDER, type CautionTopic } from './cautions';
