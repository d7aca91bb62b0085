import type { WorkshopSettings } from '$lib/core/workshop';

/** The demo workshop while it is told: the same chance and the same moments for every part of it. */
export interface Story {
	nowMs: number;
	random: () => number;
	settings: WorkshopSettings;
	resinIds: Map<string, string>;
	rubberIds: Map<string, string>;
}

export const DAY_MS = 86_400_000;

/** An id that is the same in every load. */
export function idFrom(random: () => number): string {
	const hex = Array.from({ length: 32 }, () => Math.floor(random() * 16).toString(16));
	hex[12] = '4';
	hex[16] = '8';
	const s = hex.join('');
	return `${s.slice(0, 8)}-${s.slice(8, 12)}-${s.slice(12, 16)}-${s.slice(16, 20)}-${s.slice(20)}`;
}
