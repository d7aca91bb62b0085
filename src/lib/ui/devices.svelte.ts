import {
	DEVICES,
	judgeReading,
	type DeviceCommand,
	type DeviceKind,
	type DeviceReading,
	type DeviceState
} from '$lib/core/devices';
import { newId } from './newId';

type Without<T> = T extends unknown ? Omit<T, 'id' | 'atMs'> : never;
type DeviceAction = Without<DeviceCommand>;

/** Where readings come from and commands go: the server's stream, or a shop simulated in this page. */
export interface DeviceSource {
	/** Begins to listen; returns what stops it. */
	open(heard: (readings: readonly DeviceReading[]) => void): () => void;
	send(command: DeviceCommand): void;
}

/** A request that is not answered within this is given up and made again, ms. */
const GIVE_UP_MS = 15_000;
/** A stream that says nothing for so long is opened anew: a lost connection is not always told, ms. */
const STALE_MS = 10_000;
/** Between looks at whether the stream still lives and what is still to be sent, ms. */
const LOOK_EVERY_MS = 1000;

/**
 * Listens to a stream of server-sent events for as long as it is wanted. A browser reconnects by itself after a
 * broken line, but never after an answer that is no stream, such as that of a server whose database is away.
 */
function keptOpen(url: string, heard: (data: string) => void): { look: () => void; close: () => void } {
	let stream: EventSource;
	let lastMs = 0;
	const open = () => {
		lastMs = Date.now();
		stream = new EventSource(url);
		stream.onmessage = ({ data }) => {
			lastMs = Date.now();
			heard(String(data));
		};
	};
	open();
	return {
		look() {
			if (stream.readyState !== EventSource.CLOSED && Date.now() - lastMs < STALE_MS) return;
			stream.close();
			open();
		},
		close: () => stream.close()
	};
}

/** Devices at a pour on the server: server-sent events in, commands out, sent again until they are kept. */
export function serverDevices(pourId: string, now: () => number): DeviceSource {
	const url = `/api/pours/${pourId}/devices`;
	const waiting: DeviceCommand[] = [];
	let sending = false;
	const flush = async () => {
		if (sending || waiting.length === 0) return;
		sending = true;
		const batch = waiting.slice(0, 50);
		try {
			const answer = await fetch(url, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ commands: batch }),
				signal: AbortSignal.timeout(GIVE_UP_MS)
			});
			// refused ones would be refused again
			if (answer.ok || answer.status === 422) waiting.splice(0, batch.length);
		} catch {
			// no network: the next round tries again
		} finally {
			sending = false;
		}
	};
	return {
		open(heard) {
			const stream = keptOpen(url, (data) => {
				try {
					const said = JSON.parse(data) as (Omit<DeviceReading, 'atMs'> & { ageMs: number })[];
					// by this device's own clock, which may differ from the server's
					heard(said.map(({ ageMs, ...r }) => ({ ...r, atMs: now() - ageMs })));
				} catch {
					// half a message says nothing; silence is noticed by its own clock
				}
			});
			const timer = setInterval(() => {
				stream.look();
				void flush();
			}, LOOK_EVERY_MS);
			return () => {
				stream.close();
				clearInterval(timer);
			};
		},
		send(command) {
			waiting.push(command);
			void flush();
		}
	};
}

const SWITCH = 'devices';

/** What the devices at this bench say now, judged; each can be switched to typing by hand. */
export class Devices {
	/** Whether this browser listens to devices at all. */
	on = $state(false);
	/** Typed by hand although it speaks. */
	typed = $state<Record<DeviceKind, boolean>>({
		scale: false,
		infraredThermometer: false,
		gauge: false,
		hygrometer: false
	});
	readings = $state.raw<Partial<Record<DeviceKind, DeviceReading>>>({});
	/** In practice: what they say is made up, and they can be worked from the screen. */
	simulated = $state(false);
	readonly #source: DeviceSource;
	readonly #now: () => number;
	readonly #capacity: Partial<Record<DeviceKind, number>>;
	#before: Partial<Record<DeviceKind, DeviceReading>> = {};
	#openedMs = 0;
	#close: (() => void) | undefined;

	/** @param now present moment, reactive, so that silence is noticed without a word being said */
	constructor(source: DeviceSource, now: () => number, capacity: Partial<Record<DeviceKind, number>> = {}) {
		this.#source = source;
		this.#now = now;
		this.#capacity = capacity;
	}

	/** What a reading of this kind is noted with: by which instrument, or by a simulator. */
	mark(kind: DeviceKind): { source: 'typed' | 'device' | 'simulated'; instrument?: string } {
		const reading = this.live(kind);
		if (!reading) return { source: 'typed' };
		if (this.simulated) return { source: 'simulated' };
		return { source: 'device', ...(reading.instrument ? { instrument: reading.instrument } : {}) };
	}

	/** Browser only. @param always a shop that is simulated, whose devices cannot be switched off */
	start(always = false): () => void {
		this.simulated = always;
		if (always || localStorage.getItem(SWITCH) === 'on') this.#open();
		return () => this.#shut();
	}
	toggle(): void {
		if (this.on) this.#shut();
		else this.#open();
		localStorage.setItem(SWITCH, this.on ? 'on' : 'off');
	}
	#open(): void {
		this.on = true;
		this.#openedMs = this.#now();
		this.#close = this.#source.open((readings) => this.#heard(readings));
	}
	#shut(): void {
		this.on = false;
		this.#close?.();
		this.#close = undefined;
		this.readings = {};
		this.#before = {};
	}
	#heard(readings: readonly DeviceReading[]): void {
		const next = { ...this.readings };
		for (const r of readings) {
			if (!DEVICES.includes(r.device)) continue;
			if (next[r.device]) this.#before[r.device] = next[r.device]!;
			next[r.device] = r;
		}
		this.readings = next;
	}

	judged(kind: DeviceKind) {
		return judgeReading(
			kind,
			this.readings[kind],
			this.#before[kind],
			this.#now(),
			this.#openedMs,
			this.#capacity[kind]
		);
	}
	state(kind: DeviceKind): DeviceState | 'off' | 'typed' {
		if (!this.on) return 'off';
		return this.typed[kind] ? 'typed' : this.judged(kind).state;
	}
	/** The newest reading that can be believed; nothing while it is off, typed, silent or nonsense. */
	live(kind: DeviceKind): DeviceReading | undefined {
		return this.state(kind) === 'live' ? this.readings[kind] : undefined;
	}

	act(action: DeviceAction): void {
		this.#source.send({ ...action, id: newId(), atMs: this.#now() } as DeviceCommand);
	}
}
