export {
	PAPERS,
	WORKSHOP_DEFAULTS,
	workshopSettings,
	firstSettings,
	type Paper,
	type WorkshopSettings
} from './settings';
