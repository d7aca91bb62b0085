export {
	caution,
	cautionsFor,
	cautionsForResin,
	CAUTION_ORDER,
	CAUTION_TOPICS,
	type CautionTopic
} from './cautions';
