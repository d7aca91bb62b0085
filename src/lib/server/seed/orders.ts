import { USUAL_HOURS, type OrderState } from '$lib/core/orders';
import { momentOf, wallMs } from '$lib/core/wallClock';
import { listMasters } from '../repositories/masters';
import { listResins } from '../repositories/materials';
import { getMould } from '../repositories/moulds';
import { saveOrder } from '../repositories/orders';
import { listShots } from '../repositories/shots';
import { saveHours } from '../repositories/workHours';
import { mouldWear } from '../repositories/wear';
import { DAY_MS, idFrom, type Story } from './story';

interface DemoOrder {
	name: string;
	state: OrderState;
	/** Days from now, and the hour. */
	due: readonly [days: number, hour: number];
	priority?: number;
	note?: string;
	lines: readonly {
		piece: string;
		resin: string;
		kind?: string;
		mould?: string;
		potted?: boolean;
		/** In the mould that has been pulled most, and more of them than it is sure to give. */
		worn?: boolean;
		copies: number;
		finishMinutes?: number;
	}[];
}

/** Five orders over two weeks: sure, late, one that outlasts its mould, one that waits for resin, a hollow one with locking keys. */
const ORDERS: readonly DemoOrder[] = [
	{
		name: 'Museum shop, winter shelf',
		state: 'promised',
		due: [11, 16],
		note: 'In the small boxes, ten to a tray.',
		lines: [
			{ piece: 'Ammonite paperweight', resin: 'Lantern white', copies: 8, finishMinutes: 6 },
			// without a bubble: two moulds go into the pot with one closing
			{ piece: 'Quay bollard, small', resin: 'Harbour slow', potted: true, copies: 4, finishMinutes: 5 },
			{ piece: 'Ammonite paperweight', resin: 'Harbour slow', potted: true, copies: 4, finishMinutes: 6 }
		]
	},
	{
		name: 'Puppet theatre, first night',
		state: 'running',
		due: [0, 18],
		priority: 5,
		lines: [
			{ piece: 'Lamplighter figure', resin: 'Lantern white', kind: 'solid', copies: 5, finishMinutes: 25 }
		]
	},
	{
		name: 'Rope walk, fenders for the stair',
		state: 'promised',
		due: [13, 12],
		lines: [{ piece: 'Rope fender', resin: 'Fender flexible', worn: true, copies: 4, finishMinutes: 4 }]
	},
	{
		name: 'Window in the square, ice',
		state: 'asked',
		due: [9, 10],
		lines: [{ piece: 'Ice shard', resin: 'Glasswater clear', copies: 60, finishMinutes: 2 }]
	},
	{
		name: 'Lantern procession',
		state: 'promised',
		due: [8, 15],
		lines: [
			{
				piece: 'Lamplighter figure',
				resin: 'Bellows gradual',
				kind: 'filled',
				mould: 'keys',
				copies: 4,
				finishMinutes: 15
			}
		]
	}
];

/** Orders of the demo, and when its two people work. */
export async function takeOrders(story: Story): Promise<void> {
	const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
	const hands = [1, 1, 2, 1, 2, 1, 0];
	await saveHours(
		{
			...USUAL_HOURS,
			zone,
			week: hands.map((n) => ({ from: '09:00', until: n === 2 ? '18:00' : '17:30', hands: n })),
			nightTempC: 14
		},
		0
	);
	const [shots, masters, resins] = await Promise.all([listShots(500), listMasters(), listResins()]);
	const today = Math.floor(wallMs(story.nowMs, zone) / DAY_MS) * DAY_MS;
	for (const { name, state, due, priority = 3, note = '', lines } of ORDERS) {
		const asked: { line: (typeof lines)[number]; shotId: string }[] = [];
		for (const line of lines) {
			const found = shots.filter(
				(s) =>
					masters.find((m) => m.id === s.masterId)?.record.name === line.piece &&
					resins.find((r) => r.id === s.resinId)?.record.name === line.resin &&
					(line.kind === undefined || (s.inputs.kind ?? 'solid') === line.kind) &&
					(line.potted === undefined || s.inputs.usePot === line.potted) &&
					(line.mould === 'keys') === (s.inputs.out === 'flexible')
			);
			const poured = await Promise.all(
				found.map(async (shot) => ({ shot, moulds: await Promise.all(shot.inputs.mouldIds.map(getMould)) }))
			);
			const fit = poured.filter(({ moulds }) => moulds.every((m) => m.state === 'active'));
			const pulls = ({ moulds }: (typeof fit)[number]) => Math.max(...moulds.map((m) => m.pulls));
			const [first] = line.worn ? fit.toSorted((a, b) => pulls(b) - pulls(a)) : fit;
			if (!first) continue;
			const more = line.worn ? (await mouldWear(first.moulds[0]!)).forecast.pullsLeftMedian : 0;
			asked.push({ line: { ...line, copies: line.copies + Math.min(40, more) }, shotId: first.shot.id });
		}
		if (asked.length === 0) continue;
		await saveOrder(idFrom(story.random), {
			name,
			state,
			priority,
			note,
			dueAtMs: momentOf(today + due[0] * DAY_MS + due[1] * 3_600_000, zone),
			lines: asked.map(({ line, shotId }) => ({
				id: idFrom(story.random),
				shotId,
				copies: line.copies,
				finishMinutes: line.finishMinutes ?? 0,
				hardenHours: 24
			}))
		});
	}
}
