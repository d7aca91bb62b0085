import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Sound } from './sound.svelte';

/** A browser's sound: how it stands, and what sounded. */
let browser: { touched: boolean; way: string | null; broken: boolean; opened: number };
let tones: { atS: number; hz: number }[] = [];
let shaken: number[][] = [];
let spoken: string[] = [];
let shown: string[] = [];

class Audio {
	currentTime = 0;
	destination = {};
	constructor() {
		if (browser.broken) throw new Error('no sound device');
		browser.opened++;
	}
	get state() {
		return browser.touched ? 'running' : 'suspended';
	}
	async resume() {
		if (!browser.touched) return new Promise<void>(() => {});
	}
	createOscillator() {
		const frequency = { value: 0 };
		return {
			frequency,
			connect: (to: unknown) => to,
			start: (atS: number) => tones.push({ atS, hz: frequency.value }),
			stop() {}
		};
	}
	createGain() {
		return {
			gain: { setValueAtTime() {}, exponentialRampToValueAtTime() {} },
			connect: (to: unknown) => to
		};
	}
}

let sound: Sound;
let quiet = () => {};
const start = () => {
	sound = new Sound();
	quiet = sound.start();
};
const touch = async () => {
	browser.touched = true;
	window.dispatchEvent(new Event('pointerdown'));
	await vi.advanceTimersByTimeAsync(100);
};
beforeEach(() => {
	vi.useFakeTimers();
	browser = { touched: false, way: null, broken: false, opened: 0 };
	[tones, shaken, spoken, shown] = [[], [], [], []];
	vi.stubGlobal('window', new EventTarget());
	vi.stubGlobal('document', { hidden: false });
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => (key === 'signals' ? browser.way : null),
		setItem() {}
	});
	vi.stubGlobal('navigator', {
		userActivation: {
			get hasBeenActive() {
				return browser.touched;
			}
		},
		vibrate: (pattern: number[]) => shaken.push(pattern)
	});
	vi.stubGlobal('AudioContext', Audio);
	vi.stubGlobal('requestAnimationFrame', (f: () => void) => setTimeout(f, 16));
	vi.stubGlobal('speechSynthesis', { cancel() {}, speak: (u: { text: string }) => spoken.push(u.text) });
	vi.stubGlobal(
		'SpeechSynthesisUtterance',
		class {
			constructor(readonly text: string) {}
		}
	);
	vi.stubGlobal(
		'Notification',
		class {
			static permission = 'granted';
			constructor(_title: string, { body }: { body: string }) {
				shown.push(body);
			}
		}
	);
});
afterEach(() => {
	quiet();
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

describe('what a page may do aloud', () => {
	it('nothing before a touch, and it says so; the device is opened by the first one, not while the page starts', async () => {
		start();
		expect([sound.blocked, browser.opened]).toEqual([true, 0]);
		await touch();
		expect([sound.blocked, browser.opened]).toEqual([false, 1]);
		await touch();
		expect(browser.opened).toBe(1);
	});

	it('a page of a browser that was touched before is not said to be blocked', () => {
		browser.touched = true;
		start();
		expect(sound.blocked).toBe(false);
	});

	it('no sound device at all: blocked, and telling goes on by other ways', async () => {
		browser.broken = true;
		start();
		await touch();
		expect(sound.blocked).toBe(true);
		expect(() => sound.tell(3, 'Time is up')).not.toThrow();
		expect(shaken).toEqual([[120, 120, 120, 120, 120]]);
	});

	it('left, it looks no longer', async () => {
		start();
		quiet();
		await touch();
		expect(browser.opened).toBe(0);
	});
});

describe('a signal', () => {
	it('three tones that do not run into one another, and a shake', async () => {
		start();
		await touch();
		sound.tell(3, 'Time is up');
		expect(tones).toHaveLength(3);
		// each lasts 0.2 s
		for (const [i, { atS }] of tones.entries())
			if (i > 0) expect(atS - tones[i - 1]!.atS).toBeGreaterThan(0.2);
		expect(new Set(tones.map((t) => t.hz)).size).toBe(1);
		expect(shaken).toHaveLength(1);
		expect(spoken).toEqual([]);
	});

	it('by voice it is said in words, too', async () => {
		browser.way = 'voice';
		start();
		await touch();
		sound.tell(1, 'Ten seconds');
		expect(spoken).toEqual(['Ten seconds']);
	});

	it('muted, nothing at all', async () => {
		browser.way = 'muted';
		start();
		await touch();
		sound.tell(3, 'Time is up');
		expect([tones.length, shaken.length, spoken.length, shown.length]).toEqual([0, 0, 0, 0]);
	});

	it('a page that nobody sees shows what is urgent, and not what is only near', async () => {
		vi.stubGlobal('document', { hidden: true });
		start();
		await touch();
		sound.tell(1, 'Ten seconds');
		sound.tell(3, 'Time is up');
		expect(shown).toEqual(['Time is up']);
	});

	it('before a touch it does not shake: a browser would refuse it', () => {
		start();
		sound.tell(3, 'Time is up');
		expect(shaken).toEqual([]);
		expect(sound.blocked).toBe(true);
	});
});
