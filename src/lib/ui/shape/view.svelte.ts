import { dot } from '$lib/core/mesh/frame';
import type { Vec3 } from '$lib/core/mesh/types';
import type { Studio } from './studio.svelte';

/** Two directions that a maker would call the same. */
export const same = (a: Vec3, b: Vec3) => dot(a, b) > 0.999;

/** How the piece is looked at, and what a press on it means. Nothing of it is kept. */
export class View {
	mode = $state<'turn' | 'vent' | 'sprue' | 'pour' | 'skin'>('turn');
	show = $state<'pockets' | 'undercuts'>('pockets');
	/** The pocket that is pointed at. */
	chosen = $state<number>();
	cutOn = $state(false);
	/** Place of the cut, a share of the piece. */
	cut = $state(0.5);
	fillOn = $state(false);
	/** Level of the resin, a share of the height. */
	fill = $state(0.5);
	seeThrough = $state(true);
	/** What the last press came to. */
	said = $state('');
	readonly #studio: Studio;

	constructor(studio: Studio) {
		this.#studio = studio;
	}

	readonly traps = $derived.by(() => this.#studio.traps?.traps ?? []);
	/** From where to where the piece stands in its pouring position, mm. */
	readonly heights = $derived.by<[number, number]>(() => {
		const { traps, sizesMm } = this.#studio;
		return [traps ? traps.topMm - sizesMm[2] : 0, traps?.topMm ?? 1];
	});
	readonly levelMm = $derived(this.heights[0] + (this.heights[1] - this.heights[0]) * this.fill);
	/** Faces that are coloured: those left open, and ceilings or undercuts. */
	readonly highlighted = $derived.by(() => {
		const { openFaces, undercuts, ceilings } = this.#studio;
		const open = openFaces.map((f) => ({ triangles: f.triangles, colour: 'work' as const }));
		if (this.show === 'undercuts' && undercuts)
			return [...open, { triangles: undercuts.faces, colour: 'harm' as const }];
		return [...open, ...ceilings.map((c) => ({ triangles: c.triangles, colour: 'hot' as const }))];
	});

	async pressed(ray: Parameters<Studio['pick']>[0]): Promise<void> {
		const { mode } = this;
		if (mode === 'turn') return;
		const studio = this.#studio;
		const hit = await studio.pick(ray);
		if (!hit) return;
		if (mode === 'skin') return studio.addOpenFace(hit.triangle);
		if (mode === 'pour') {
			await studio.turn(await studio.faceDirection(hit.triangle));
			this.mode = 'turn';
			this.said = 'The face that you pressed is the pour face now and points up.';
			return;
		}
		const before = this.traps.length;
		await studio.addOpening(mode, hit.point);
		const cured = before - (studio.traps?.traps.length ?? 0);
		this.said =
			cured > 0
				? `That cures ${cured === 1 ? 'one pocket' : `${cured} pockets`}.`
				: 'No pocket is cured by it: set it where the pocket is highest.';
	}
}
