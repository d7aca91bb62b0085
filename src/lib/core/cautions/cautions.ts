/** Where a caution belongs. */
export const CAUTION_TOPICS = [
	'isocyanate',
	'catalyst',
	'styrene',
	'epoxy',
	'silicone',
	'pressure',
	'vacuum',
	'heat',
	'bulk',
	'hot-part',
	'hot-glue',
	'scald',
	'uncured',
	'knife',
	'powder',
	'solvent',
	'flame',
	'plaster',
	'melt'
] as const;
export type CautionTopic = (typeof CAUTION_TOPICS)[number];

/** The usual cautions in one sentence each; none of them sets a limit, all defer to the maker's sheets. */
const CAUTIONS: Readonly<Record<CautionTopic, string>> = {
	isocyanate:
		'Isocyanate in part A: ventilate, wear gloves, glasses and the respirator that the safety sheet names. Stop on any wheeze or rash.',
	catalyst:
		'MEKP destroys an eye in seconds: glasses on before the bottle is opened, eyewash within reach. Neat, it never meets accelerator, metal powder or metal vessels.',
	styrene: 'Styrene: ventilate, no flame, gloves.',
	epoxy: 'Epoxy sensitises skin: gloves and ventilation as the safety sheet says.',
	silicone: 'Follow the rubber’s safety sheet: gloves, and keep it out of eyes.',
	pressure:
		'Only a vessel made and rated for pressure, relief valve working, every clamp closed. Never past its rating. Vent fully before opening.',
	vacuum:
		'Only a chamber rated for vacuum; a cracked lid is out of use. Let the air in before the pump stops.',
	heat: 'A cup left over can smoke or melt: spread it out, outdoors if it smokes, and never put a lid on it.',
	bulk: 'Thickened resin in bulk heats itself and can smoke: mix it in portions and spread each at once; what is left goes thin on a tray.',
	'hot-part':
		'A thick part can be hot inside when its face is firm: feel it through a glove before you take hold of it.',
	'hot-glue': 'Hot glue and its nozzle burn the skin: keep fingers off the bead until it is dull.',
	scald:
		'Near-boiling water and what is softened in it scald: tongs, heat-proof gloves, a pot that cannot tip.',
	uncured:
		'A cast that comes out early is not cured through: gloves on, no bare skin on it, ventilate until it is hard.',
	powder: 'Powders: dust mask or respirator as the safety sheet says; metal dust burns.',
	solvent: 'Sprays and solvents: ventilate, no flame until it has flashed off.',
	flame:
		'Flame: only once release and solvent have flashed off, nothing that burns near, an extinguisher within reach, the flame always moving.',
	plaster:
		'Wet plaster gets hot as it sets and burns skin that stays in it: never a hand or a foot set into it. None of it down a drain.',
	melt: 'Molten wax and soap burn the skin, and overheated wax catches fire: a water bath, a thermometer, never left alone. No water on burning wax: a lid, then an extinguisher.',
	knife: 'Cut away from the hand that holds. Sanding dust: mask.'
};

/** The line under every caution: whose word comes first. */
export const CAUTION_ORDER =
	'The maker’s data and safety sheets, local codes and licensed practice come before anything said here.';

/**
 * Text of a caution.
 * @example
 * caution('catalyst').length > 20; // true
 */
export function caution(topic: CautionTopic): string {
	return CAUTIONS[topic];
}

type Chemistry = 'urethane' | 'polyester' | 'epoxy' | 'silicone' | 'plaster' | 'melt';

/**
 * What to heed while the catalyst's bottle stays shut: stirring and measuring the resin itself.
 * @example
 * cautionsForResin('polyester'); // ['styrene']
 */
export function cautionsForResin(chemistry: Chemistry): CautionTopic[] {
	return cautionsFor(chemistry).filter((topic) => topic !== 'catalyst');
}

/**
 * What to heed when a material's parts are handled.
 * @example
 * cautionsFor('urethane'); // ['isocyanate']
 */
export function cautionsFor(chemistry: Chemistry): CautionTopic[] {
	switch (chemistry) {
		case 'urethane':
			return ['isocyanate'];
		case 'polyester':
			return ['catalyst', 'styrene'];
		case 'epoxy':
			return ['epoxy'];
		case 'silicone':
			return ['silicone'];
		case 'plaster':
			return ['powder', 'plaster'];
		case 'melt':
			return ['melt'];
	}
}
