import { createEvents, type EventAttributes } from 'ics';
import { error, type RequestHandler } from '@sveltejs/kit';
import { addressOf } from '$lib/server/address';
import { runningClocks } from '$lib/server/repositories/pours';
import { inspectionsComing } from '$lib/server/repositories/vessels';

const MINUTES = 15;

function at(ms: number): [number, number, number, number, number] {
	const d = new Date(ms);
	return [d.getUTCFullYear(), d.getUTCMonth() + 1, d.getUTCDate(), d.getUTCHours(), d.getUTCMinutes()];
}

/** The library writes whole minutes: what ends on a second begins on it. @param seconds by the event's uid */
const withSeconds = (text: string, seconds: ReadonlyMap<string, number>) =>
	text.replace(/UID:(.+?)\r?\n(?:(?!END:VEVENT)[\s\S])*?DTSTART:\d{8}T\d{6}Z/g, (event, uid: string) =>
		event.replace(/\d\dZ$/, `${String(seconds.get(uid) ?? 0).padStart(2, '0')}Z`)
	);

/** Cures, demoulds and looks that are due, for any calendar. */
export const GET: RequestHandler = async ({ url, locals, platform }) => {
	const { base } = addressOf(locals.settings, url, platform);
	const now = new Date();
	const [clocks, inspections] = await Promise.all([runningClocks(), inspectionsComing(now)]);
	const events: EventAttributes[] = [
		...clocks
			.filter((c) => c.kind !== 'pot-life' && c.kind !== 'wait')
			.map((c) => ({
				uid: `${c.id}@anthypos`,
				title: `${c.then[0]!.toUpperCase()}${c.then.slice(1)}: ${c.label}`,
				start: at(c.endsAtMs),
				startInputType: 'utc' as const,
				startOutputType: 'utc' as const,
				duration: { minutes: MINUTES },
				url: `${base}${c.href}`,
				alarms: [{ action: 'display' as const, description: c.then, trigger: { minutes: 5, before: true } }]
			})),
		...inspections.map(({ vessel, due }) => ({
			uid: `${vessel.id}-${due.part.replace(' ', '-')}@anthypos`,
			title: `Look at ${due.name.toLowerCase()}: ${vessel.record.name}`,
			start: at(
				Math.max(due.dueAtMs, due.state === 'due' || due.state === 'failed' ? now.getTime() : due.dueAtMs)
			).slice(0, 3) as [number, number, number],
			duration: { days: 1 },
			url: `${base}/pots/${vessel.id}`,
			description:
				due.state === 'failed'
					? 'It failed its last look: no pressure before it is mended.'
					: `Or after ${Math.max(0, due.cyclesLeft)} more cycles, whichever is first.`
		}))
	];
	const made = createEvents(events, { productId: 'anthypos', calName: 'Workshop' });
	if (made.error || !made.value) error(500, 'The calendar could not be written.');
	const seconds = new Map(clocks.map((c) => [`${c.id}@anthypos`, new Date(c.endsAtMs).getUTCSeconds()]));
	return new Response(withSeconds(made.value, seconds), {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': 'attachment; filename="workshop.ics"',
			'cache-control': 'no-store'
		}
	});
};
