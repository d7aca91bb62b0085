/** Short tones; three for "now". */
export function beep(audio: AudioContext, times: number, pitchHz = 880): void {
	for (let i = 0; i < times; i++) {
		const tone = audio.createOscillator();
		const level = audio.createGain();
		const at = audio.currentTime + i * 0.22;
		tone.frequency.value = pitchHz;
		level.gain.setValueAtTime(0.25, at);
		level.gain.exponentialRampToValueAtTime(0.001, at + 0.18);
		tone.connect(level).connect(audio.destination);
		tone.start(at);
		tone.stop(at + 0.2);
	}
}

/** Says a sentence, where the browser has a voice; a newer one cuts an older one short. */
export function speak(text: string): void {
	try {
		speechSynthesis.cancel();
		speechSynthesis.speak(new SpeechSynthesisUtterance(text));
	} catch {
		// no voice here: tone, digits and colour say the same
	}
}

/** How deadlines are told; kept on this device. */
const SIGNAL_WAYS = ['tones', 'voice', 'muted'] as const;
export type SignalWay = (typeof SIGNAL_WAYS)[number];

export function keptSignalWay(): SignalWay {
	const kept = localStorage.getItem('signals');
	if (SIGNAL_WAYS.includes(kept as SignalWay)) return kept as SignalWay;
	return localStorage.getItem('muted') === '1' ? 'muted' : 'tones';
}

/** The next way round; keeps it. */
export function nextSignalWay(way: SignalWay): SignalWay {
	const next = SIGNAL_WAYS[(SIGNAL_WAYS.indexOf(way) + 1) % SIGNAL_WAYS.length]!;
	localStorage.setItem('signals', next);
	return next;
}

/** Keeps the screen awake while the page is seen; returns what lets it sleep again. */
export function keepAwake(): () => void {
	let lock: WakeLockSentinel | undefined;
	let wanted = true;
	const ask = async () => {
		if (!wanted || document.visibilityState !== 'visible') return;
		lock = await navigator.wakeLock?.request('screen').catch(() => undefined);
	};
	void ask();
	document.addEventListener('visibilitychange', ask);
	return () => {
		wanted = false;
		document.removeEventListener('visibilitychange', ask);
		void lock?.release();
	};
}
