/** What a master may be made of. Sealing and inhibition follow from it. */
export const MASTER_MATERIALS = [
	'sulphur-free clay',
	'sulphur clay',
	'wood',
	'plaster',
	'resin print',
	'filament print',
	'cast resin',
	'amine-cured epoxy',
	'latex',
	'tin-cured rubber',
	'platinum-cured rubber',
	'polystyrene',
	'metal',
	'stone',
	'glass or glazed',
	'other'
] as const;
export type MasterMaterial = (typeof MASTER_MATERIALS)[number];
