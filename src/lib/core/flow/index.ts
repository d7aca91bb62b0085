export { sprue, sprueInput, type SprueInput, type SprueResult } from './sprue';
export {
	CARRIED,
	carriedFilmMm,
	curingViscosity,
	keptFilmMm,
	lockingViscosityMpaS,
	THICKENING
} from './film';
export { sprueCalculation } from './calculation';
