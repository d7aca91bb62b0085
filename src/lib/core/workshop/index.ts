export { WORKSHOP_DEFAULTS, workshopSettings, type WorkshopSettings } from './settings';
