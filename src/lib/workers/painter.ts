import * as THREE from 'three';
import type { Trap } from '$lib/core/mesh/traps';
import type { Frame } from '$lib/core/mesh/frame';
import type { Opening } from '$lib/core/master';

type V3 = readonly [number, number, number];

/** Colours of the page, read when the scene is made and whenever the theme changes. */
export interface Palette {
	ground: string;
	plaster: string;
	ink: string;
	work: string;
	hot: string;
	harm: string;
}

export interface View {
	up: V3;
	/** 0 … 1 along the view's own left-right, or nothing. */
	cut: number | undefined;
	/** 0 … 1 of the height, or nothing. */
	fill: number | undefined;
	seeThrough: boolean;
	openings: readonly Opening[];
}

/** Most columns that are drawn of all pockets together; a picture needs no more. */
const MOST_COLUMNS = 12_000;

/** Where the eye is; the page moves it, the painter follows. */
interface Eye {
	position: V3;
	quaternion: readonly [number, number, number, number];
	near: number;
	far: number;
	aspect: number;
}

export interface Findings {
	frame: Frame;
	traps: readonly Trap[];
	cellMm: number;
	heights: [number, number];
	chosen: number | undefined;
	highlighted: { triangles: Uint32Array; colour: keyof Palette }[];
	parting: Float32Array | undefined;
}

/** Place of the cut across the picture, in the turned piece's space. */
export const cutConstant = (cut: number, centreX: number, radius: number) => centreX + (2 * cut - 1) * radius;

/** The turn that brings the pouring position up. */
export const turnFor = (up: V3) =>
	new THREE.Quaternion().setFromUnitVectors(new THREE.Vector3(...up).normalize(), new THREE.Vector3(0, 1, 0));

/**
 * Draws the master in 3D: pouring position up, pockets of air, openings, a cut and a level of resin. It draws
 * when something changes and rests otherwise. It lives in a worker where the browser can draw there, since
 * making a drawing context and feeding it a million triangles would hold the page up.
 */
export class Painter {
	readonly #renderer: THREE.WebGLRenderer;
	readonly #scene = new THREE.Scene();
	readonly #camera = new THREE.PerspectiveCamera(32, 1, 0.1, 10_000);
	/** Turned so that the pouring position's up is the picture's up; holds everything in the mesh's space. */
	readonly #piece = new THREE.Group();
	readonly #extras = new THREE.Group();
	#geometry: THREE.BufferGeometry | undefined;
	#radius = 50;
	#asked = false;
	#gone = false;
	readonly #cutPlane = new THREE.Plane(new THREE.Vector3(-1, 0, 0), 0);
	readonly #fillPlane = new THREE.Plane(new THREE.Vector3(0, -1, 0), 0);
	#palette: Palette;
	#body: THREE.Mesh[] = [];
	#view: View = { up: [0, 0, 1], cut: undefined, fill: undefined, seeThrough: true, openings: [] };
	#heights: [number, number] = [0, 1];
	#findings: Findings | undefined;

	constructor(canvas: HTMLCanvasElement | OffscreenCanvas, palette: Palette) {
		this.#renderer = new THREE.WebGLRenderer({ canvas, antialias: true, alpha: true });
		this.#renderer.localClippingEnabled = true;
		// asking for a shader's log waits for the driver: no frame may wait
		this.#renderer.debug.checkShaderErrors = false;
		this.#palette = palette;
		this.#scene.add(new THREE.HemisphereLight(0xffffff, 0x8a7f70, 2.2), this.#piece);
		const key = new THREE.DirectionalLight(0xffffff, 2.1);
		key.position.set(1.5, 2.5, 2);
		this.#camera.add(key);
		this.#scene.add(this.#camera);
		this.#piece.add(this.#extras);
	}

	/** Puts a mesh on the stand; its bounds are given, so that nobody has to walk over it. */
	setMesh(positions: Float32Array, indices: Uint32Array, min: V3, max: V3): void {
		this.#geometry?.dispose();
		const geometry = new THREE.BufferGeometry();
		geometry.setAttribute('position', new THREE.BufferAttribute(positions, 3));
		geometry.setIndex(new THREE.BufferAttribute(indices, 1));
		const box = new THREE.Box3(new THREE.Vector3(...min), new THREE.Vector3(...max));
		geometry.boundingBox = box;
		geometry.boundingSphere = box.getBoundingSphere(new THREE.Sphere());
		this.#geometry = geometry;
		this.#radius = Math.max(geometry.boundingSphere.radius, 1e-3);
		this.#build();
		// what was found may have come before the corners did
		if (this.#findings) this.setFindings(this.#findings);
		this.draw();
	}

	/** Moves the eye. */
	setEye({ position, quaternion, near, far, aspect }: Eye): void {
		this.#camera.position.set(...position);
		this.#camera.quaternion.set(...quaternion);
		this.#camera.near = near;
		this.#camera.far = far;
		this.#camera.aspect = aspect;
		this.#camera.updateProjectionMatrix();
		this.draw();
	}

	#build(): void {
		for (const m of this.#body) {
			this.#piece.remove(m);
			(m.material as THREE.Material).dispose();
		}
		this.#body = [];
		if (!this.#geometry) return;
		const { plaster, ink, work } = this.#palette;
		const through = this.#view.seeThrough;
		const shell = new THREE.MeshStandardMaterial({
			color: plaster,
			roughness: 0.85,
			flatShading: true,
			transparent: through,
			opacity: through ? 0.46 : 1,
			depthWrite: !through,
			side: through ? THREE.DoubleSide : THREE.FrontSide
		});
		const inside = new THREE.MeshBasicMaterial({ color: ink, side: THREE.BackSide, visible: !through });
		const resin = new THREE.MeshStandardMaterial({
			color: work,
			roughness: 0.5,
			flatShading: true,
			transparent: true,
			opacity: 0.72,
			side: THREE.DoubleSide
		});
		this.#body = [shell, inside, resin].map((m) => new THREE.Mesh(this.#geometry, m));
		this.#piece.add(...this.#body);
		this.#applyPlanes();
	}

	#applyPlanes(): void {
		const [shell, inside, resin] = this.#body.map((m) => m.material as THREE.Material);
		const { cut, fill } = this.#view;
		const sphere = this.#geometry?.boundingSphere;
		if (!shell || !inside || !resin || !sphere) return;
		const cuts = cut === undefined ? [] : [this.#cutPlane];
		const centre = sphere.center.clone().applyQuaternion(this.#piece.quaternion);
		this.#cutPlane.constant = cutConstant(cut ?? 1, centre.x, this.#radius);
		const [lo, hi] = this.#heights;
		this.#fillPlane.constant = lo + (hi - lo) * (fill ?? 0);
		shell.clippingPlanes = cuts;
		inside.clippingPlanes = cuts;
		resin.clippingPlanes = [...cuts, this.#fillPlane];
		this.#body[2]!.visible = fill !== undefined;
	}

	/** Changes what is looked at and how. */
	setView(view: View): void {
		const rebuild = view.seeThrough !== this.#view.seeThrough;
		this.#view = view;
		this.#piece.quaternion.copy(turnFor(view.up));
		this.#piece.updateMatrixWorld(true);
		if (rebuild) this.#build();
		else this.#applyPlanes();
		this.draw();
	}

	/** Pockets of air, near-level ceilings, undercuts, the parting line and openings. */
	setFindings(f: Findings): void {
		this.#findings = f;
		clear(this.#extras);
		this.#heights = f.heights;
		this.#addTraps(f);
		for (const h of f.highlighted) this.#addFaces(h.triangles, h.colour);
		if (f.parting && this.#geometry) this.#addLine(f.parting);
		for (const o of this.#view.openings) this.#addOpening(o, f.heights);
		this.#applyPlanes();
		this.draw();
	}

	#addTraps({ frame, traps, cellMm, chosen, heights }: Findings): void {
		const all = traps.reduce((sum, t) => sum + t.columns.length / 4, 0);
		const every = Math.max(1, Math.ceil(all / MOST_COLUMNS));
		const basis = new THREE.Matrix4().makeBasis(
			new THREE.Vector3(...frame.u),
			new THREE.Vector3(...frame.v),
			new THREE.Vector3(...frame.w)
		);
		const box = new THREE.BoxGeometry(1, 1, 1);
		const width = cellMm * Math.sqrt(every);
		traps.forEach((trap, i) => {
			const drawn = Math.ceil(trap.columns.length / 4 / every);
			const level = heights[0] + (heights[1] - heights[0]) * (this.#view.fill ?? 1);
			const material = new THREE.MeshStandardMaterial({
				color: chosen === i ? this.#palette.harm : this.#palette.hot,
				roughness: 0.6,
				transparent: true,
				// while it fills, a pocket shows fully once the resin has shut it off
				opacity: this.#view.fill !== undefined && level < trap.spillMm ? 0.25 : 0.95
			});
			const pillars = new THREE.InstancedMesh(box, material, drawn);
			const m = new THREE.Matrix4();
			for (let n = 0; n < drawn; n++) {
				const k = 4 * n * every;
				const [x, y, from, to] = [
					trap.columns[k]!,
					trap.columns[k + 1]!,
					trap.columns[k + 2]!,
					trap.columns[k + 3]!
				];
				m.makeScale(width, width, Math.max(to - from, 1e-3)).setPosition(x, y, (from + to) / 2);
				pillars.setMatrixAt(n, m.premultiply(basis));
			}
			this.#extras.add(pillars);
		});
	}

	#addFaces(triangles: Uint32Array, colour: keyof Palette): void {
		if (!this.#geometry || triangles.length === 0) return;
		const all = this.#geometry.index!.array as Uint32Array;
		const own = new Uint32Array(3 * triangles.length);
		for (let i = 0, out = 0; i < triangles.length; i++) {
			const t = 3 * triangles[i]!;
			own[out++] = all[t]!;
			own[out++] = all[t + 1]!;
			own[out++] = all[t + 2]!;
		}
		const geometry = new THREE.BufferGeometry();
		geometry.setAttribute('position', this.#geometry.getAttribute('position'));
		geometry.setIndex(new THREE.BufferAttribute(own, 1));
		geometry.boundingSphere = this.#geometry.boundingSphere;
		const material = new THREE.MeshStandardMaterial({
			color: this.#palette[colour],
			flatShading: true,
			roughness: 0.7,
			side: THREE.DoubleSide,
			polygonOffset: true,
			polygonOffsetFactor: -2,
			transparent: true,
			opacity: 0.9
		});
		this.#extras.add(new THREE.Mesh(geometry, material));
	}

	#addLine(points: Float32Array): void {
		const geometry = new THREE.BufferGeometry();
		geometry.setAttribute('position', new THREE.BufferAttribute(points, 3));
		geometry.boundingSphere = this.#geometry!.boundingSphere;
		this.#extras.add(
			new THREE.LineSegments(geometry, new THREE.LineBasicMaterial({ color: this.#palette.ink }))
		);
	}

	#addOpening(opening: Opening, heights: [number, number]): void {
		const up = new THREE.Vector3(...this.#view.up).normalize();
		const foot = new THREE.Vector3(...opening.at);
		const tall = Math.max(heights[1] - foot.dot(up), 0) + this.#radius * 0.12;
		const wide = this.#radius * (opening.kind === 'sprue' ? 0.05 : 0.025);
		const pipe = new THREE.Mesh(
			new THREE.CylinderGeometry(opening.kind === 'sprue' ? wide * 1.8 : wide, wide, tall, 20),
			new THREE.MeshStandardMaterial({ color: this.#palette.work, roughness: 0.5 })
		);
		pipe.quaternion.setFromUnitVectors(new THREE.Vector3(0, 1, 0), up);
		pipe.position.copy(foot).addScaledVector(up, tall / 2);
		this.#extras.add(pipe);
	}

	resize(width: number, height: number, pixelRatio: number): void {
		this.#renderer.setPixelRatio(pixelRatio);
		this.#renderer.setSize(width, height, false);
		this.draw();
	}

	setPalette(palette: Palette): void {
		this.#palette = palette;
		this.#build();
		this.draw();
	}

	/** Draws at the next frame, once however often it is asked. */
	draw(): void {
		if (this.#asked || this.#gone) return;
		this.#asked = true;
		requestAnimationFrame(() => {
			this.#asked = false;
			if (!this.#gone) this.#renderer.render(this.#scene, this.#camera);
		});
	}

	/** A still picture of what stands there now. */
	still(): Promise<Blob | null> {
		this.#renderer.setClearColor(this.#palette.ground, 1);
		this.#renderer.render(this.#scene, this.#camera);
		const canvas = this.#renderer.domElement as HTMLCanvasElement | OffscreenCanvas;
		const kind = { type: 'image/webp', quality: 0.88 };
		const picture =
			'convertToBlob' in canvas
				? canvas.convertToBlob(kind)
				: new Promise<Blob | null>((done) => canvas.toBlob(done, kind.type, kind.quality));
		this.#renderer.setClearColor(0x000000, 0);
		return picture.finally(() => this.draw());
	}

	dispose(): void {
		this.#gone = true;
		clear(this.#extras);
		this.#geometry?.dispose();
		this.#renderer.dispose();
	}
}

function clear(group: THREE.Group): void {
	for (const child of [...group.children]) {
		group.remove(child);
		const drawn = child as THREE.Mesh;
		drawn.geometry?.dispose();
		(drawn.material as THREE.Material | undefined)?.dispose();
	}
}
