export { WORKSHOP_DEFAULTS, workshopSettings, firstSettings, type WorkshopSettings } from './settings';
