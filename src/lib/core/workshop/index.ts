export { workshopSettings, type WorkshopSettings } from './settings';
