import { USUAL_HOURS } from './hours';
import type { LineToPlan, OrderToPlan, PullRecipe, Workshop } from './snapshot';

/** A Monday at eight. */
export const NOW = Date.UTC(2026, 10, 30, 8);
export const DAY = 86_400_000;
export const HOUR = 3_600_000;

export const recipe = (mould: string, more: Partial<PullRecipe> = {}): PullRecipe => ({
	batch: 0,
	copies: 1,
	mouldIds: [mould],
	potId: null,
	holdS: 0,
	prepS: 180,
	flashS: 300,
	blocks: [{ durationS: 400, leastS: 0, mostS: 0 }],
	cureS: { day: 2400, night: 4800 },
	flexibleS: null,
	demouldS: 150,
	takes: [{ stockId: 'white', name: 'White A', massG: 60 }],
	cureBand: { low: 0.8, high: 1.25 },
	...more
});

export const line = (
	id: string,
	copies: number,
	recipes: PullRecipe[],
	more: Partial<LineToPlan> = {}
): LineToPlan => ({
	id,
	shotId: 'shot',
	shotNumber: 1,
	pieceName: 'Ammonite',
	resinName: 'White',
	copies,
	good: 0,
	casting: 0,
	pulls: 0,
	finishS: 300,
	hardenS: 86_400,
	seen: { good: 60, scrap: 5 },
	recipes,
	refused: null,
	...more
});

export const order = (id: string, dueDays: number, lines: LineToPlan[], priority = 3): OrderToPlan => ({
	id,
	number: Number(id.replace(/\D/g, '')) || 1,
	name: `Order ${id}`,
	dueAtMs: NOW + dueDays * DAY,
	priority,
	lines
});

/** Four moulds, a pot, one pair of hands from nine to five. */
export const workshop = (orders: OrderToPlan[], more: Partial<Workshop> = {}): Workshop => ({
	nowMs: NOW,
	hours: USUAL_HOURS,
	orders,
	moulds: ['a', 'b', 'c', 'd'].map((id, i) => ({
		id,
		number: i + 1,
		label: id,
		freeAtMs: NOW,
		refused: null,
		left: null,
		successor: { makeS: 3600, cureS: 16 * 3600 }
	})),
	pots: [{ id: 'pot', name: 'Pot 1', freeAtMs: NOW, refused: null }],
	stock: [{ id: 'white', name: 'White A', leftG: 100_000 }],
	pins: {},
	...more
});
