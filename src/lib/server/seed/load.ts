import { fillerRecord, resinRecord, rubberRecord } from '$lib/core/shelf';
import { WORKSHOP_DEFAULTS, workshopSettings } from '$lib/core/workshop';
import { chanceOf } from '$lib/core/schedule';
import { WORKSHOP_TABLES } from '$lib/core/openData';
import { db } from '../db/connection';
import { alone } from '../db/lock';
import { tables } from '../db/models';
import { log } from '../log';
import { saveMaterial } from '../repositories/materials';
import { saveSettings } from '../repositories/settings';
import { plasterBefore } from './castables';
import { confirmSome, inspectMoulds } from './inspections';
import { DEMO_FILLERS, DEMO_RESINS, DEMO_RUBBERS } from './materials';
import { everyKindOfMould } from './mouldKinds';
import { openOfEachKind } from './openPours';
import { takeOrders } from './orders';
import { addPeople } from './people';
import { measuredKnob } from './pictured';
import { tellPiece } from './piece';
import { DEMO_PIECES } from './pieces';
import { oldCycles, stockPots } from './pots';
import { boughtLately, colourShelf, stockShelf } from './stock';
import type { Story } from './story';

const SEED = 20_261;
/** So long the process that came first may take to tell the demo, s. */
const LOAD_WAIT_S = 600;

/** Fills an empty database with the demo workshop, once, however many processes start at the same moment. */
export const loadDemo = (now: Date): Promise<void> =>
	alone('anthypos-demo', LOAD_WAIT_S, () => loadOnce(now));

/**
 * A load that was cut off is known by its open
 * marker; since nobody could enter anything before it ended, it is swept away and begun again.
 */
async function loadOnce(now: Date): Promise<void> {
	const markers = tables.markers();
	if (await markers.findByPk('demo-done')) return;
	if (await markers.findByPk('demo-begun')) {
		for (const table of WORKSHOP_TABLES) await db().query(`DELETE FROM ${table}`);
	} else if ((await tables.materials().count()) > 0 || (await tables.masters().count()) > 0) {
		log.warn('the database holds a workshop already: demo data were not added');
		return;
	}
	await markers.findOrCreate({ where: { name: 'demo-begun' }, defaults: { name: 'demo-begun' } });
	await tell(now.getTime());
	await markers.create({ name: 'demo-done' });
	log.info('demo workshop loaded');
}

/** The demo is told piece by piece: the lines of its tins stand in the order of their days, as if they had been written then. */
async function stockInOrder(): Promise<void> {
	const ABOVE_ALL = 1_000_000;
	await db().query('UPDATE stock_movements SET seq = seq + ?', { replacements: [ABOVE_ALL] });
	await db().query(
		`UPDATE stock_movements s JOIN (SELECT id, ROW_NUMBER() OVER (ORDER BY at, seq) AS place FROM stock_movements) o
		ON o.id = s.id SET s.seq = o.place, s.receivedAt = s.at`
	);
}

async function tell(nowMs: number): Promise<void> {
	const random = chanceOf(SEED);
	const settings = workshopSettings.parse({
		...WORKSHOP_DEFAULTS,
		potName: 'Pot 1',
		potVolumeL: 18,
		potRatedGaugeKpa: 413,
		potTargetGaugeKpa: 275,
		roomTempC: 21,
		relativeHumidity: 44,
		altitudeM: 120,
		hourly: 18,
		potCycleCost: 0.4
	});
	await saveSettings(settings, 0);
	await addPeople();
	const resinIds = new Map<string, string>();
	const rubberIds = new Map<string, string>();
	for (const resin of DEMO_RESINS)
		resinIds.set(resin.name, await saveMaterial('resin', resinRecord.parse(resin)));
	for (const rubber of DEMO_RUBBERS)
		rubberIds.set(rubber.name, await saveMaterial('rubber', rubberRecord.parse(rubber)));
	for (const filler of DEMO_FILLERS) await saveMaterial('filler', fillerRecord.parse(filler));
	await colourShelf(resinIds, rubberIds);
	await stockShelf(nowMs, resinIds, rubberIds);
	await stockPots(nowMs);
	const story: Story = { nowMs, random, settings, resinIds, rubberIds };
	for (const piece of DEMO_PIECES) await tellPiece(story, piece);
	await measuredKnob();
	await oldCycles(story);
	await inspectMoulds(story);
	await confirmSome(story);
	await plasterBefore(story);
	await openOfEachKind(story);
	await everyKindOfMould(story);
	await boughtLately(nowMs, resinIds);
	await takeOrders(story);
	await stockInOrder();
}
