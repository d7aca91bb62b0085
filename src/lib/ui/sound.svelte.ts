import { beep, keptSignalWay, speak, type SignalWay } from './signals';

/** What a browser lets this page do aloud, and how its maker wants to be told. */
export class Sound {
	/** The browser wants a touch before it lets anything sound: "Tones" would be a promise that is not kept. */
	blocked = $state(false);
	way = $state<SignalWay>('tones');
	#audio: AudioContext | undefined;

	/**
	 * Browser only: looks whether it may sound, and opens the sound device at the first touch; returns what ends looking.
	 * Opening it takes a tenth of a second: not while the page comes to life, and only when the press has been shown.
	 */
	start(): () => void {
		this.way = keptSignalWay();
		this.blocked = navigator.userActivation?.hasBeenActive !== true;
		const look = () => requestAnimationFrame(() => setTimeout(() => this.#open()));
		const events = ['pointerdown', 'pointerup', 'keydown'] as const;
		for (const e of events) window.addEventListener(e, look, { capture: true });
		return () => {
			for (const e of events) window.removeEventListener(e, look, { capture: true });
		};
	}
	#open(): void {
		try {
			this.#audio ??= new AudioContext();
			this.blocked = this.#audio.state === 'suspended';
			// without a touch this promise waits for ever: nobody waits for it
			void this.#audio.resume().then(() => (this.blocked = this.#audio!.state === 'suspended'));
		} catch {
			// no sound here at all: digits and colour say the same
			this.blocked = true;
		}
	}

	/** Tells something the way that was chosen: tones, voice, a shake, and a notification where that is allowed. */
	tell(times: number, words: string): void {
		if (this.way === 'muted') return;
		// a browser that wants no touch lets it sound all the same
		this.#open();
		if (this.#audio) beep(this.#audio, times);
		// before anything was pressed here a browser refuses it, and says so in its log
		if (navigator.userActivation?.hasBeenActive)
			navigator.vibrate?.(Array.from({ length: times * 2 - 1 }, () => 120));
		if (this.way === 'voice') speak(words);
		if (times > 1 && document.hidden) notify(words);
	}
}

/** One for all of a page: its strip and its bench speak with one voice. */
export const sound = new Sound();

/** Whether notifications can be asked for here, were allowed, or were refused. */
export const notifyState = (): NotificationPermission | 'none' =>
	typeof Notification === 'undefined' ? 'none' : Notification.permission;

function notify(words: string): void {
	if (notifyState() !== 'granted') return;
	try {
		new Notification('Anthypos', { body: words, tag: words });
	} catch {
		// some browsers let only a service worker do so: the tone was given
	}
}
