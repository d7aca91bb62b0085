import { releaseThing, resinThing, type Thing } from '$lib/core/compatibility';
import { MOULD_MODULES, STATE_WORDS } from '$lib/core/mould';
import {
	mouldFigures,
	otherPiece,
	shotContextOf,
	taughtFor,
	type PlanRecords,
	type Stamp
} from '$lib/core/plan';
import { chemistryOf, containerHealth, containerSpeed } from '$lib/core/shelf';
import {
	takenOf,
	shotFiller,
	shotRecipe,
	type ShotContext,
	type ShotInputs,
	type ShotRecipe
} from '$lib/core/shot';
import type { WorkshopSettings } from '$lib/core/workshop';
import { RefusedError } from '../errors';
import { inUse, tinsOfFillers } from './containers';
import { measuredMaster } from './masters';
import { listExperiences } from './experiences';
import { getMaterial, getResin, listMaterials, type Resin } from './materials';
import { demouldPresses } from './demouldPresses';
import { getMould, type Mould } from './moulds';
import { leftOvers } from './leftOvers';
import { sparesFor } from './spares';
import { usualPot, withPot } from './vessels';

/** Colour recipes of the shelf as this resin takes them. */
async function recipesFor(resin: Resin): Promise<ShotRecipe[]> {
	const [recipes, colours] = await Promise.all([listMaterials('recipe'), listMaterials('colour')]);
	return recipes.map((r) => shotRecipe(r, colours, resin.record));
}

export async function gather(inputs: ShotInputs) {
	const [master, resin, ...moulds] = await Promise.all([
		measuredMaster(inputs.masterId),
		getResin(inputs.resinId),
		...[...new Set(inputs.mouldIds)].map(getMould)
	]);
	const stranger = moulds.find((m) => m.masterId !== master.id);
	if (stranger) throw new RefusedError(`M${stranger.number} is a mould of another master.`, 'mouldIds');
	const [release, filler, markCup, recipes, tins, vessel, presses, left] = await Promise.all([
		inputs.releaseId ? getMaterial('release', inputs.releaseId) : undefined,
		inputs.fillerId ? getMaterial('filler', inputs.fillerId) : undefined,
		inputs.cupId ? getMaterial('cup', inputs.cupId) : undefined,
		recipesFor(resin),
		inUse(inputs.resinId),
		usualPot(inputs.potId),
		demouldPresses(inputs.resinId),
		leftOvers(inputs.mouldIds)
	]);
	const layerFillers = await Promise.all(
		[...new Set((inputs.layerRows ?? []).map((r) => r.fillerId).filter(Boolean))].map((id) =>
			getMaterial('filler', id)
		)
	);
	for (const m of moulds) refuseUnfit(m, 'mouldIds');
	const others = await othersOf(inputs, master.id);
	const taught = taughtFor(presses, resin.id, inputs.mouldIds);
	const fillerTins = await tinsOfFillers([...(filler ? [filler] : []), ...layerFillers]);
	return {
		master,
		resin,
		moulds,
		others,
		release,
		filler,
		markCup,
		layerFillers,
		recipes,
		tins,
		vessel,
		taught,
		taken: takenOf(left, inputs.mouldIds),
		fillerTins
	};
}

/** @throws RefusedError at the field when it is not in use, or takes no resin */
function refuseUnfit(mould: Mould, field: string): void {
	if (mould.state !== 'active')
		throw new RefusedError(
			`M${mould.number} is ${STATE_WORDS[mould.state]}: only an active mould is poured.`,
			field
		);
	const refuses = MOULD_MODULES[mould.inputs.kind].refusesResin;
	if (refuses) throw new RefusedError(`M${mould.number} ${refuses}`, field);
}

/** Moulds of other pieces that its cups fill as well, each with its master. */
async function othersOf(inputs: ShotInputs, masterId: string) {
	const asked = inputs.kind === 'solid' && !inputs.cups?.length ? (inputs.also ?? []) : [];
	return Promise.all(
		asked.map(async ({ mouldId }, i) => {
			const field = `also.${i}.mouldId`;
			const mould = await getMould(mouldId);
			refuseUnfit(mould, field);
			if (mould.masterId === masterId)
				throw new RefusedError(`M${mould.number} is a mould of the piece itself: choose it above.`, field);
			return { mould, master: await measuredMaster(mould.masterId) };
		})
	);
}
export type Gathered = Awaited<ReturnType<typeof gather>>;

const speedOf = ({ tins }: Pick<Gathered, 'tins'>) =>
	tins.a && containerSpeed(tins.a.record.slowerPercent, tins.a.rateFactor);

export function contextOf(of: Gathered, settings: WorkshopSettings): ShotContext {
	return shotContextOf({
		master: of.master,
		moulds: of.moulds.map((m) => mouldFigures(m, of.master.volumeMl)),
		resin: of.resin.record,
		settings: withPot(settings, of.vessel),
		filler: of.filler && shotFiller(of.filler.record),
		fillers: of.layerFillers.map((f) => ({ id: f.id, ...shotFiller(f.record) })),
		others: of.others.map((o) => otherPiece(o.mould, o.master)),
		recipes: of.recipes,
		tinSpeed: speedOf(of),
		taught: of.taught,
		taken: of.taken
	});
}

/** What people read where a plan moved for what its last pours left. */
export const LEFT_OVER = 'what the last pours left';

/** The state of every record that a plan rests on. What a tin holds does not move a plan; which tin, and its speed, do. */
export function stampsOf(of: Gathered, inputs: ShotInputs, settings: WorkshopSettings): Stamp[] {
	const {
		master,
		resin,
		moulds,
		others,
		release,
		filler,
		layerFillers,
		recipes,
		tins,
		vessel,
		taught,
		taken
	} = of;
	const versioned = (kind: Stamp['kind'], row: { id: string; version: number }, name: string): Stamp => ({
		kind,
		id: row.id,
		name,
		state: `${row.version}`
	});
	const coloured = [
		inputs.recipeId,
		...(inputs.cups ?? []).map((c) => c.recipeId),
		...(inputs.layerRows ?? []).map((r) => r.recipeId)
	];
	const { altitudeM, marginPercent, scaleResolutionG, scaleCapacityG, mixingCupMl } = settings;
	return [
		versioned('master', master, master.record.name),
		...[...moulds, ...others.map((o) => o.mould)].map((m) => versioned('mould', m, `M${m.number}`)),
		...others.map((o) => versioned('master', o.master, o.master.record.name)),
		versioned('resin', resin, `sheet of ${resin.record.name}`),
		...[...(filler ? [filler] : []), ...layerFillers]
			.filter((f, i, all) => all.findIndex((other) => other.id === f.id) === i)
			.map((f) => versioned('filler', f, f.record.name)),
		...(release ? [versioned('release', release, release.record.name)] : []),
		...recipes
			.filter((r) => coloured.includes(r.id))
			.map((r): Stamp => ({ kind: 'colour', id: r.id, name: r.name, state: JSON.stringify(r.colours) })),
		...(tins.a
			? [
					{
						kind: 'tin' as const,
						id: tins.a.id,
						name: `tin of ${tins.a.materialName}`,
						state: `${speedOf(of)}`
					}
				]
			: []),
		...(taught
			? [
					{
						kind: 'taught' as const,
						id: resin.id,
						name: `what was pressed at demould of ${resin.record.name}`,
						state: `${taught.maturityFactor.toFixed(3)} ${taught.flexibleShare.toFixed(3)}`
					}
				]
			: []),
		...(inputs.heedLeft !== false && (taken.one ?? taken.layers)
			? [
					{
						kind: 'taken' as const,
						id: master.id,
						name: LEFT_OVER,
						state: [taken.one, taken.layers].map((t) => t?.share.toFixed(3) ?? '').join(' ')
					}
				]
			: []),
		...(inputs.usePot && vessel ? [versioned('pot', vessel, vessel.record.name)] : []),
		{
			kind: 'workshop',
			id: 'workshop',
			name: 'settings of the workshop',
			state: JSON.stringify([altitudeM, marginPercent, scaleResolutionG, scaleCapacityG, mixingCupMl])
		}
	];
}

/** What the moulds of a pour are made of, where the resin touches them. */
async function facesOf(moulds: readonly Mould[]): Promise<Thing[]> {
	const [rubbers, plastics] = await Promise.all([listMaterials('rubber'), listMaterials('thermoplastic')]);
	return moulds.flatMap(
		(m) =>
			MOULD_MODULES[m.inputs.kind].thing(m.inputs, {
				rubber: rubbers.find((r) => r.id === m.inputs.rubberId)?.record,
				thermoplastic: plastics.find((r) => r.id === m.inputs.thermoplasticId)?.record
			}) ?? []
	);
}

export async function recordsOf(
	of: Gathered,
	inputs: ShotInputs,
	settings: WorkshopSettings,
	leftMl: number
): Promise<PlanRecords> {
	const { master, resin, moulds, release, recipes, tins, vessel } = of;
	const others = of.others.map((o) => o.mould);
	const today = new Date().toISOString().slice(0, 10);
	const tinOf = (tin: NonNullable<typeof tins.a>) => ({
		id: tin.id,
		lot: tin.record.lot,
		health: containerHealth(tin.record, chemistryOf(resin.record.family), today, settings)
	});
	const [faces, experiences, spares] = await Promise.all([
		facesOf([...moulds, ...others]),
		listExperiences(),
		sparesFor([...inputs.mouldIds, ...others.map((o) => o.id)], leftMl)
	]);
	return {
		master,
		moulds,
		others,
		resin: resin.record,
		release: release?.record,
		tins: {
			...(tins.a ? { a: tinOf(tins.a) } : {}),
			...(tins.b ? { b: tinOf(tins.b) } : {}),
			speed: speedOf(of),
			fillers: of.fillerTins
		},
		markCup: of.markCup?.record,
		vesselId: vessel?.id,
		settings: withPot(settings, vessel),
		spares,
		recipes,
		touching: {
			resin: resinThing(resin.id, resin.record),
			moulds: faces,
			release: release && releaseThing(release.id, release.record)
		},
		experiences,
		stamps: stampsOf(of, inputs, settings)
	};
}
