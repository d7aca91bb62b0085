import { search, type Findable } from '$lib/core/search';
import { MOULD_MODULES, STATE_WORDS } from '$lib/core/mould';
import { CASTS } from '$lib/core/shot';
import type { MaterialKind } from '../db/models';
import { listContainers } from './containers';
import { listPulls } from './ledger';
import { listMasters } from './masters';
import { listMaterials } from './materials';
import { listMoulds } from './moulds';
import { listShots } from './shots';

const MATERIAL_WORDS: Readonly<Record<MaterialKind, string>> = {
	resin: 'resin',
	rubber: 'rubber',
	filler: 'filler',
	colour: 'colour',
	recipe: 'colour recipe',
	release: 'release',
	thermoplastic: 'thermoplastic',
	cup: 'measuring cup',
	castable: 'plaster, wax or soap'
};
const MOST = 12;
/** Pulls among what is found: the newest that fit. */
const MOST_PULLS = 4;
const SHOTS = 300;

async function records(): Promise<Findable[]> {
	const kinds = Object.keys(MATERIAL_WORDS) as MaterialKind[];
	const [moulds, masters, shots, tins, materials] = await Promise.all([
		listMoulds(),
		listMasters(),
		listShots(SHOTS),
		listContainers(),
		Promise.all(kinds.map(async (kind) => ({ kind, list: await listMaterials(kind) })))
	]);
	const names = new Map(masters.map((m) => [m.id, m.record.name]));
	return [
		...moulds.map((m): Findable => ({
			kind: 'mould',
			title: `M${m.number} ${m.label}`,
			detail: `${MOULD_MODULES[m.inputs.kind].words.name}, ${STATE_WORDS[m.state]}`,
			href: `/moulds/${m.id}`,
			also: `${m.number} ${names.get(m.masterId) ?? ''} ${m.inputs.place ?? ''}`
		})),
		...masters.map((m): Findable => ({
			kind: 'master',
			title: m.record.name,
			detail: `master, ${m.record.material}`,
			href: `/masters/${m.id}`
		})),
		...shots.map((s): Findable => ({
			kind: 'shot',
			title: `Shot ${s.number}: ${names.get(s.masterId) ?? ''}`,
			detail: CASTS[s.inputs.kind ?? 'solid'].words.name,
			href: `/shots/${s.id}`
		})),
		...materials.flatMap(({ kind, list }) =>
			list.map((m): Findable => ({
				kind: 'material',
				title: m.record.name,
				detail: 'family' in m.record ? `${m.record.family}` : MATERIAL_WORDS[kind],
				href: `/shelf/${kind}s/${m.id}`,
				also: MATERIAL_WORDS[kind]
			}))
		),
		...tins.map((t): Findable => ({
			kind: 'tin',
			title: `Tin of ${t.materialName}${t.record.part === 'whole' ? '' : ` ${t.record.part}`}`,
			detail: t.record.lot ? `lot ${t.record.lot}` : 'no lot',
			href: `/shelf/containers/${t.id}`
		}))
	];
}

/** Records that fit the words, the best first; then the newest pulls that do. */
export async function find(text: string): Promise<Findable[]> {
	const asked = text.trim().slice(0, 200);
	if (asked === '') return [];
	const [found, { pulls }] = await Promise.all([
		records().then((all) => search(all, asked, MOST)),
		listPulls({ text: asked }, { offset: 0, limit: MOST_PULLS })
	]);
	return [
		...found,
		...pulls.map((p): Findable => ({
			kind: 'pull',
			title: `Pull ${p.pullNumber} of M${p.mouldNumber} ${p.mouldLabel}`,
			detail: `${p.combinedAt.toISOString().slice(0, 10)}, ${p.resinName}`,
			href: `/ledger/${p.id}`
		}))
	];
}
