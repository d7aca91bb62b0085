import * as THREE from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
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
const QUARTER = Math.PI / 2;

/**
 * The master in 3D: pouring position up, pockets of air, openings, a cut and a level of resin. It draws when
 * something changes and rests otherwise. Nothing in it walks over all corners, so no frame takes long.
 */
export class ShapeScene {
	readonly #renderer: THREE.WebGLRenderer;
	readonly #scene = new THREE.Scene();
	readonly #camera = new THREE.PerspectiveCamera(32, 1, 0.1, 10_000);
	readonly #controls: OrbitControls;
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

	constructor(canvas: HTMLCanvasElement, palette: Palette) {
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
		this.#controls = new OrbitControls(this.#camera, canvas);
		this.#controls.addEventListener('change', () => this.draw());
		this.#controls.enableDamping = false;
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
		this.home();
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
		this.#cutPlane.constant = sphereCentre(sphere, this.#piece).x + (2 * (cut ?? 1) - 1) * this.#radius;
		const [lo, hi] = this.#heights;
		this.#fillPlane.constant = lo + (hi - lo) * (fill ?? 0);
		shell.clippingPlanes = cuts;
		inside.clippingPlanes = cuts;
		resin.clippingPlanes = [...cuts, this.#fillPlane];
		this.#body[2]!.visible = fill !== undefined;
	}

	/** Changes what is looked at and how. */
	setView(view: View): void {
		const turned = view.up.some((x, i) => x !== this.#view.up[i]);
		const rebuild = view.seeThrough !== this.#view.seeThrough;
		this.#view = view;
		this.#piece.quaternion.setFromUnitVectors(
			new THREE.Vector3(...view.up).normalize(),
			new THREE.Vector3(0, 1, 0)
		);
		this.#piece.updateMatrixWorld(true);
		if (turned) this.#aim();
		if (rebuild) this.#build();
		else this.#applyPlanes();
		this.draw();
	}

	/** Pockets of air, near-level ceilings, undercuts, the parting line and openings. */
	setFindings(f: {
		frame: Frame;
		traps: readonly Trap[];
		cellMm: number;
		heights: [number, number];
		chosen: number | undefined;
		highlighted: { triangles: Uint32Array; colour: keyof Palette }[];
		parting: Float32Array | undefined;
	}): void {
		clear(this.#extras);
		this.#heights = f.heights;
		this.#addTraps(f);
		for (const h of f.highlighted) this.#addFaces(h.triangles, h.colour);
		if (f.parting) this.#addLine(f.parting);
		for (const o of this.#view.openings) this.#addOpening(o, f.heights);
		this.#applyPlanes();
		this.draw();
	}

	#addTraps({ frame, traps, cellMm, chosen, heights }: Parameters<ShapeScene['setFindings']>[0]): void {
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

	/** Looks at the whole piece again. */
	home(): void {
		this.#camera.position
			.set(0.9, 0.45, 1.6)
			.normalize()
			.multiplyScalar(this.#radius * 3.9);
		this.#camera.near = this.#radius / 50;
		this.#camera.far = this.#radius * 30;
		this.#camera.updateProjectionMatrix();
		this.#aim();
		this.draw();
	}

	#aim(): void {
		const sphere = this.#geometry?.boundingSphere;
		if (!sphere) return;
		const centre = sphereCentre(sphere, this.#piece);
		const before = this.#controls.target.clone();
		this.#controls.target.copy(centre);
		this.#camera.position.add(centre).sub(before);
		this.#controls.update();
	}

	/** Turns by keys: an eighth of a quarter turn at a time. */
	orbit(right: number, upward: number): void {
		const offset = this.#camera.position.clone().sub(this.#controls.target);
		const s = new THREE.Spherical().setFromVector3(offset);
		s.theta -= (right * QUARTER) / 8;
		s.phi = Math.min(Math.PI - 0.05, Math.max(0.05, s.phi - (upward * QUARTER) / 8));
		this.#camera.position.copy(this.#controls.target).add(new THREE.Vector3().setFromSpherical(s));
		this.#controls.update();
	}

	zoom(factor: number): void {
		this.#camera.position.sub(this.#controls.target).multiplyScalar(factor).add(this.#controls.target);
		this.#controls.update();
	}

	/** A ray through a spot of the canvas (−1 … 1 both ways) in the mesh's own space. */
	ray(x: number, y: number): { origin: V3; direction: V3; clip?: { normal: V3; offset: number } } {
		const caster = new THREE.Raycaster();
		caster.setFromCamera(new THREE.Vector2(x, y), this.#camera);
		const back = this.#piece.matrixWorld.clone().invert();
		const origin = caster.ray.origin.clone().applyMatrix4(back);
		const direction = caster.ray.direction.clone().transformDirection(back);
		const plane = this.#view.cut === undefined ? undefined : this.#cutPlane.clone().applyMatrix4(back);
		return {
			origin: origin.toArray(),
			direction: direction.toArray(),
			...(plane ? { clip: { normal: plane.normal.toArray(), offset: plane.constant } } : {})
		};
	}

	resize(width: number, height: number): void {
		this.#renderer.setPixelRatio(Math.min(window.devicePixelRatio, 2));
		this.#renderer.setSize(width, height, false);
		this.#camera.aspect = width / Math.max(1, height);
		this.#camera.updateProjectionMatrix();
		this.draw();
	}

	setPalette(palette: Palette): void {
		this.#palette = palette;
		this.#build();
		this.draw();
	}

	/**
	 * Draws at the next frame, once however often it is asked. New materials are compiled beside the page
	 * first, so that the frame which uses them does not wait for the driver.
	 */
	draw(): void {
		if (this.#asked || this.#gone) return;
		this.#asked = true;
		requestAnimationFrame(() => {
			void this.#renderer.compileAsync(this.#scene, this.#camera).then(() => {
				this.#asked = false;
				if (!this.#gone) this.#renderer.render(this.#scene, this.#camera);
			});
		});
	}

	/** A still picture of what stands there now. */
	still(): Promise<Blob | null> {
		this.#renderer.setClearColor(this.#palette.ground, 1);
		this.#renderer.render(this.#scene, this.#camera);
		const canvas = this.#renderer.domElement;
		const picture = new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/webp', 0.88));
		this.#renderer.setClearColor(0x000000, 0);
		this.draw();
		return picture;
	}

	dispose(): void {
		this.#gone = true;
		clear(this.#extras);
		this.#geometry?.dispose();
		this.#controls.dispose();
		this.#renderer.dispose();
	}
}

function sphereCentre(sphere: THREE.Sphere, group: THREE.Group): THREE.Vector3 {
	return sphere.center.clone().applyQuaternion(group.quaternion);
}

function clear(group: THREE.Group): void {
	for (const child of [...group.children]) {
		group.remove(child);
		const drawn = child as THREE.Mesh;
		drawn.geometry?.dispose();
		(drawn.material as THREE.Material | undefined)?.dispose();
	}
}
