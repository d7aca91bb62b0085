import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { drafts, type DraftedForm } from './drafts.svelte';
import type { Draft } from './store';

/** What the device holds; `full` takes nothing more. */
const device = vi.hoisted(() => ({ rows: new Map<string, unknown>(), full: false }));
vi.mock('./store', () => ({
	DraftStore: class {
		async put(draft: { key: string }): Promise<void> {
			if (device.full) throw new DOMException('no room', 'QuotaExceededError');
			device.rows.set(draft.key, structuredClone(draft));
		}
		async drop(key: string): Promise<void> {
			device.rows.delete(key);
		}
		async all(): Promise<unknown[]> {
			return [...device.rows.values()].reverse();
		}
	}
}));

type Fields = Record<string, unknown>;
const stops: (() => void)[] = [];
let tab: Map<string, string>;
/** A form of a page, kept as it is typed. */
function page(fields: Fields, name = 'form') {
	const of: DraftedForm & { data: Fields } = {
		data: { ...fields },
		read() {
			return this.data;
		},
		write(data) {
			this.data = { ...data };
		}
	};
	const kept = drafts.keep(name, of);
	stops.push(() => kept.stop());
	const type = async (change: Fields) => {
		window.dispatchEvent(new Event('keydown'));
		of.data = { ...of.data, ...change };
		kept.changed();
		await vi.advanceTimersByTimeAsync(400);
	};
	return { of, kept, type };
}
const rows = () => [...device.rows.values()] as Draft[];
/** The page is left, and opened again in another tab or the same one. */
async function reopen(fields: Fields, { sameTab = false } = {}) {
	stops.splice(0).forEach((stop) => stop());
	await vi.advanceTimersByTimeAsync(0);
	if (!sameTab) tab.clear();
	const opened = page(fields);
	await vi.advanceTimersByTimeAsync(0);
	return opened;
}

beforeEach(() => {
	vi.useFakeTimers({ now: Date.UTC(2026, 10, 30, 9) });
	device.rows.clear();
	device.full = false;
	tab = new Map();
	vi.stubGlobal('window', new EventTarget());
	vi.stubGlobal('location', { pathname: '/masters/new', search: '?from=bench' });
	vi.stubGlobal('document', { title: 'A master', querySelector: () => ({ textContent: ' A new master ' }) });
	vi.stubGlobal('sessionStorage', {
		getItem: (key: string) => tab.get(key) ?? null,
		setItem: (key: string, value: string) => tab.set(key, value)
	});
});
afterEach(() => {
	stops.splice(0).forEach((stop) => stop());
	drafts.trouble = '';
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

describe('what is being typed', () => {
	it('is kept a moment after the last key, with the page it belongs to', async () => {
		const { type } = page({ name: '', lengthMm: 60 });
		await type({ name: 'Rope fen' });
		await type({ name: 'Rope fender' });
		expect(rows()).toHaveLength(1);
		expect(rows()[0]).toMatchObject({
			place: '/masters/new form',
			href: '/masters/new?from=bench',
			title: 'A new master',
			base: { name: '', lengthMm: 60 },
			data: { name: 'Rope fender', lengthMm: 60 }
		});
	});

	it('what a page fills in by itself before anybody touched it is no draft', async () => {
		const { of, kept } = page({ name: '' });
		of.data = { name: 'filled in' };
		kept.changed();
		await vi.advanceTimersByTimeAsync(1000);
		expect(rows()).toEqual([]);
	});

	it('typed back to what it was, nothing is left to go on with', async () => {
		const { type } = page({ name: 'Lamp' });
		await type({ name: 'Lamps' });
		expect(rows()).toHaveLength(1);
		await type({ name: 'Lamp' });
		expect(rows()).toEqual([]);
	});

	it('a page that is left within the moment is kept all the same', async () => {
		const { of, kept } = page({ name: '' });
		window.dispatchEvent(new Event('keydown'));
		of.data = { name: 'in a hurry' };
		kept.changed();
		kept.stop();
		await vi.advanceTimersByTimeAsync(0);
		expect(rows()[0]!.data).toEqual({ name: 'in a hurry' });
	});

	it('kept in the books, it is a draft no longer', async () => {
		const { type, kept } = page({ name: '' });
		await type({ name: 'Bollard' });
		kept.saved();
		await vi.advanceTimersByTimeAsync(1000);
		expect(rows()).toEqual([]);
	});

	it('a device that is full says so, and says so no more once there is room', async () => {
		device.full = true;
		const { type } = page({ name: '' });
		await type({ name: 'Bollard' });
		expect(drafts.trouble).toMatch(/keeps nothing more/);
		device.full = false;
		await type({ name: 'Bollards' });
		expect(drafts.trouble).toBe('');
		expect(rows()[0]!.data).toEqual({ name: 'Bollards' });
	});
});

describe('a page that is opened again', () => {
	it('offers what was left unfinished, and goes on with it under its own tab', async () => {
		await page({ name: '', note: '' }).type({ name: 'Rope fender' });
		const { of } = await reopen({ name: '', note: '' });
		expect(drafts.offers).toHaveLength(1);
		expect(drafts.offers[0]!.conflicts).toEqual([]);
		expect(of.data).toEqual({ name: '', note: '' });
		drafts.offers[0]!.goOn();
		await vi.advanceTimersByTimeAsync(0);
		expect(of.data).toEqual({ name: 'Rope fender', note: '' });
		expect(drafts.offers).toEqual([]);
		// one draft, not one for each tab that it went through
		expect(rows()).toHaveLength(1);
		expect(rows()[0]!.key).toContain(tab.get('anthypos-tab'));
	});

	it('thrown away, it is gone', async () => {
		await page({ name: '' }).type({ name: 'Rope fender' });
		await reopen({ name: '' }, { sameTab: true });
		drafts.offers[0]!.throwAway();
		await vi.advanceTimersByTimeAsync(0);
		expect([drafts.offers.length, rows().length]).toEqual([0, 0]);
	});

	it('says where somebody else has saved the same field otherwise since', async () => {
		await page({ name: 'Fender', wallMm: 4 }).type({ wallMm: 5 });
		await reopen({ name: 'Rope fender', wallMm: 6 });
		expect(drafts.offers[0]!.conflicts).toEqual([{ field: 'wallMm', saved: 6, typed: 5 }]);
	});

	it('another form of the same page, or the same form of another page, is not offered', async () => {
		await page({ name: '' }).type({ name: 'Rope fender' });
		stops.splice(0).forEach((stop) => stop());
		page({ name: '' }, 'look');
		await vi.advanceTimersByTimeAsync(0);
		expect(drafts.offers).toEqual([]);
		vi.stubGlobal('location', { pathname: '/masters/m1', search: '' });
		await reopen({ name: '' });
		expect(drafts.offers).toEqual([]);
	});

	it('left, it takes its offers along: the next page does not show them', async () => {
		await page({ name: '' }).type({ name: 'Rope fender' });
		const { kept } = await reopen({ name: '' });
		expect(drafts.offers).toHaveLength(1);
		kept.stop();
		expect(drafts.offers).toEqual([]);
	});
});
