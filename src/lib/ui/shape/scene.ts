import { transfer, wrap, type Remote } from 'comlink';
import * as THREE from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { PaintApi } from '$lib/workers/paint.worker';
import { cutConstant, Painter, turnFor, type Findings, type Palette, type View } from '../../workers/painter';

export type { Findings, Palette, View } from '../../workers/painter';
type V3 = readonly [number, number, number];
type Remotely = Pick<Remote<PaintApi>, keyof Omit<PaintApi, 'start'>>;

const EIGHTH_OF_QUARTER = Math.PI / 16;

/**
 * The page's side of the 3D view: the eye and what turns it by mouse, touch and keys. What is seen is drawn
 * by a painter in a worker, or here where the browser cannot draw in one.
 */
export class ShapeScene {
	readonly #camera = new THREE.PerspectiveCamera(32, 1, 0.1, 10_000);
	readonly #controls: OrbitControls;
	readonly #painter: Remotely | Painter;
	readonly #end: () => void;
	#turn = new THREE.Quaternion();
	#centre = new THREE.Vector3();
	#radius = 50;
	#up: V3 = [0, 0, 1];
	#cut: number | undefined;

	private constructor(canvas: HTMLCanvasElement, painter: Remotely | Painter, end: () => void) {
		this.#painter = painter;
		this.#end = end;
		this.#controls = new OrbitControls(this.#camera, canvas);
		this.#controls.addEventListener('change', () => this.#tell());
		this.#controls.enableDamping = false;
	}

	/** @throws Error when the browser gives no 3D view at all */
	static async start(canvas: HTMLCanvasElement, palette: Palette): Promise<ShapeScene> {
		if (!('transferControlToOffscreen' in canvas)) {
			const painter = new Painter(canvas, palette);
			return new ShapeScene(canvas, painter, () => painter.dispose());
		}
		const worker = new Worker(new URL('../../workers/paint.worker.ts', import.meta.url), {
			type: 'module',
			name: 'paint'
		});
		const api = wrap<PaintApi>(worker);
		const off = canvas.transferControlToOffscreen();
		try {
			await api.start(transfer(off, [off]), palette);
		} catch (error) {
			worker.terminate();
			throw error;
		}
		return new ShapeScene(canvas, api, () => worker.terminate());
	}

	/** Puts a mesh on the stand; corners and faces are handed over and are not here any more. */
	setMesh(positions: Float32Array, indices: Uint32Array, min: V3, max: V3): void {
		const box = new THREE.Box3(new THREE.Vector3(...min), new THREE.Vector3(...max));
		const sphere = box.getBoundingSphere(new THREE.Sphere());
		this.#centre = sphere.center;
		this.#radius = Math.max(sphere.radius, 1e-3);
		void this.#painter.setMesh(
			transfer(positions, [positions.buffer]),
			transfer(indices, [indices.buffer]),
			min,
			max
		);
		this.home();
	}

	/** Changes what is looked at and how. */
	setView(view: View): void {
		const turned = view.up.some((x, i) => x !== this.#up[i]);
		this.#up = view.up;
		this.#cut = view.cut;
		this.#turn = turnFor(view.up);
		void this.#painter.setView(view);
		if (turned) this.#aim();
	}

	/** Pockets of air, near-level ceilings, undercuts, the parting line and openings. */
	setFindings(findings: Findings): void {
		void this.#painter.setFindings(findings);
	}

	/** Looks at the whole piece again. */
	home(): void {
		this.#camera.position
			.set(0.9, 0.45, 1.6)
			.normalize()
			.multiplyScalar(this.#radius * 3.9);
		this.#controls.target.set(0, 0, 0);
		this.#camera.near = this.#radius / 50;
		this.#camera.far = this.#radius * 30;
		this.#camera.updateProjectionMatrix();
		this.#aim();
	}

	#aim(): void {
		const centre = this.#standing();
		const before = this.#controls.target.clone();
		this.#controls.target.copy(centre);
		this.#camera.position.add(centre).sub(before);
		this.#controls.update();
		this.#tell();
	}

	/** The middle of the piece as it stands. */
	#standing(): THREE.Vector3 {
		return this.#centre.clone().applyQuaternion(this.#turn);
	}

	#tell(): void {
		const { position, quaternion, near, far, aspect } = this.#camera;
		void this.#painter.setEye({
			position: position.toArray(),
			quaternion: [quaternion.x, quaternion.y, quaternion.z, quaternion.w],
			near,
			far,
			aspect
		});
	}

	/** Turns by keys: an eighth of a quarter turn at a time. */
	orbit(right: number, upward: number): void {
		const offset = this.#camera.position.clone().sub(this.#controls.target);
		const s = new THREE.Spherical().setFromVector3(offset);
		s.theta -= right * EIGHTH_OF_QUARTER;
		s.phi = Math.min(Math.PI - 0.05, Math.max(0.05, s.phi - upward * EIGHTH_OF_QUARTER));
		this.#camera.position.copy(this.#controls.target).add(new THREE.Vector3().setFromSpherical(s));
		this.#controls.update();
	}

	zoom(factor: number): void {
		this.#camera.position.sub(this.#controls.target).multiplyScalar(factor).add(this.#controls.target);
		this.#controls.update();
	}

	/** A ray through a spot of the canvas (−1 … 1 both ways) in the mesh's own space. */
	ray(x: number, y: number): { origin: V3; direction: V3; clip?: { normal: V3; offset: number } } {
		this.#camera.updateMatrixWorld();
		const caster = new THREE.Raycaster();
		caster.setFromCamera(new THREE.Vector2(x, y), this.#camera);
		const back = this.#turn.clone().invert();
		const origin = caster.ray.origin.clone().applyQuaternion(back);
		const direction = caster.ray.direction.clone().applyQuaternion(back);
		if (this.#cut === undefined) return { origin: origin.toArray(), direction: direction.toArray() };
		const normal = new THREE.Vector3(-1, 0, 0).applyQuaternion(back);
		const offset = cutConstant(this.#cut, this.#standing().x, this.#radius);
		return {
			origin: origin.toArray(),
			direction: direction.toArray(),
			clip: { normal: normal.toArray(), offset }
		};
	}

	resize(width: number, height: number): void {
		this.#camera.aspect = width / Math.max(1, height);
		this.#camera.updateProjectionMatrix();
		void this.#painter.resize(width, height, Math.min(window.devicePixelRatio, 2));
		this.#tell();
	}

	setPalette(palette: Palette): void {
		void this.#painter.setPalette(palette);
	}

	/** A still picture of what stands there now. */
	async still(): Promise<Blob | null> {
		return this.#painter.still();
	}

	dispose(): void {
		this.#controls.dispose();
		this.#end();
	}
}
