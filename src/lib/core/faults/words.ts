import type { CauseId, Fault } from './faults';

/** What each fault is called. */
export const FAULT_WORDS: Readonly<Record<Fault, string>> = {
	'face-bubbles': 'bubbles on the face',
	'inner-bubbles': 'bubbles inside',
	'short-shot': 'short shot',
	flash: 'flash',
	'seam-step': 'seam step',
	soft: 'soft or tacky',
	foam: 'foam',
	warp: 'warp',
	crack: 'crack',
	ripples: 'ripples',
	'dull-detail': 'dull or torn detail',
	delaminated: 'delaminated',
	sink: 'sink',
	'thin-places': 'thin places'
};

/** What each cause is called. */
export const CAUSE_WORDS: Readonly<Record<CauseId, string>> = {
	'damp-air': 'damp air',
	'damp-face': 'damp or cold mould face',
	'old-stock': 'old or damp stock',
	'ratio-off': 'ratio off',
	undermixed: 'undermixed',
	'not-stirred': 'stock not stirred',
	'cups-swapped': 'cups swapped or dirty',
	'poured-late': 'poured too late',
	'no-pressure': 'no pressure',
	'pressure-late': 'pressure too late',
	'pressure-lost': 'pressure lost or let out early',
	'trapped-air': 'air with no way out',
	'uneven-closing': 'mould closed unevenly',
	'dirty-mould': 'mould not clean',
	'wet-release': 'release not dry',
	'early-demould': 'out of the mould too early',
	'worn-mould': 'worn mould',
	overheated: 'too much heat at once',
	'cold-mould': 'cold mould',
	'late-layer': 'next layer too late',
	'uneven-rolling': 'rolled unevenly'
};
