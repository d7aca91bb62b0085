import type { WearForecast } from './forecast';
import { USUAL_FACE_C } from './prior';
import type { MouldInspection } from './inspection';
import { LIMIT, SIGNS } from './signs';

export interface Advice {
	code: 'retire' | 'release' | 'rest' | 'barrier' | 'cooler' | 'patch' | 'successor' | 'close';
	what: string;
	why: string;
}

/** Hotter than this at the face, cooler pours are worth a thought, °C (a default of ours). */
const HOT_FACE_C = USUAL_FACE_C + 20;

/**
 * What would lengthen this mould's life, or end it in time; the most pressing first (common practice, no source).
 * @example
 * wearAdvice({ tear: 3 }, { pullsLeftMedian: 4 }, { release: 'none' })[0]?.what; // 'Mend the tear with its own rubber'
 */
export function wearAdvice(
	scores: MouldInspection['scores'],
	forecast: Pick<WearForecast, 'pullsLeftMedian'>,
	about: { peakFaceC?: number | undefined; release: string; wanted?: number | undefined; rigid?: boolean }
): Advice[] {
	const s = (sign: keyof typeof SIGNS) => scores[sign] ?? 0;
	const found: Advice[] = [];
	const add = (code: Advice['code'], what: string, why: string) => found.push({ code, what, why });
	const ended = (Object.keys(SIGNS) as (keyof typeof SIGNS)[]).find((sign) => s(sign) >= LIMIT);
	if (ended) add('retire', 'Retire it', `${SIGNS[ended].words}: ${SIGNS[ended].at[LIMIT]}.`);
	if (about.wanted !== undefined && about.wanted > forecast.pullsLeftMedian)
		add(
			'successor',
			'Pour its successor',
			`${about.wanted} pulls are wanted and half of such moulds give ${forecast.pullsLeftMedian} more.`
		);
	if (s('stick') >= 2 && about.release === 'none')
		add('release', 'Release or talc before every pull', `Sticking: ${SIGNS.stick.at[s('stick')]}.`);
	if (s('stain') >= 3)
		add(
			'rest',
			'Rest it open for a day or two',
			`Stain: ${SIGNS.stain.at[s('stain')]}; what has soaked in comes out slowly.`
		);
	if (s('stain') >= 2 || s('detail') >= 2)
		if (!about.rigid && about.release !== 'barrier')
			add(
				'barrier',
				'A barrier coat',
				'It keeps resin off the rubber and becomes the base coat of the cast.'
			);
	if ((about.peakFaceC ?? 0) > HOT_FACE_C)
		add(
			'cooler',
			'Cooler pours',
			`The face peaks at ${Math.round(about.peakFaceC!)} °C: less at once, cooler parts, or a slower resin.`
		);
	if (s('tear') >= 2 && s('tear') < LIMIT)
		add('patch', 'Mend the tear with its own rubber', `Tears: ${SIGNS.tear.at[s('tear')]}.`);
	if (s('flash') >= 3 || s('warp') >= 3)
		add(
			'close',
			'Close it between stiff boards',
			'Flash and warp come from uneven closing as often as from wear.'
		);
	return found;
}
