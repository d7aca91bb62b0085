/** A row of cells from the middle (or an open face) outwards. */
export interface Grid {
	/** Cell edges, m; one more than cells. */
	readonly edgesM: readonly number[];
	/** 0 slab, 1 cylinder, 2 sphere. */
	readonly dimension: 0 | 1 | 2;
	/** W/m·K by cell. */
	readonly conductivity: readonly number[];
	/** J/m³·K by cell. */
	readonly heatCapacity: readonly number[];
	/** Heat transfer at the first and last edge, W/m²·K; 0 is insulated (a plane of symmetry). */
	readonly innerAir: number;
	readonly outerAir: number;
	readonly airTempC: number;
}

export interface Conduction {
	/** Moves temperatures on by dt seconds in place; returns the heat given to the air, J. */
	step(temp: Float64Array, dtS: number): number;
	/** Temperature of the face between a cell and the next one outwards, °C. */
	faceTempC(temp: Float64Array, cell: number): number;
	/** Temperature of the innermost face, °C: the middle where that is a plane of symmetry. */
	innerFaceTempC(temp: Float64Array): number;
	/** Σ capacity × temperature, J. */
	heatJ(temp: Float64Array): number;
	/** Σ conversion × heat of cure, J, over the first cells. */
	releasedJ(conversion: Float64Array, heatJPerM3: (cell: number) => number): number;
}

const GAMMA = 2 - Math.SQRT2;

/**
 * Heat conduction by finite volumes and TR-BDF2 (Bank et al., IEEE Trans. Electron Devices 32 (1985)
 * 1992): second order and L-stable, so a warm resin on a cold mould does not ring. With γ = 2 − √2 both
 * stages share one matrix. Heat per m² (slab), per radian and metre (cylinder), per steradian (sphere).
 */
export function conductionStepper(grid: Grid): Conduction {
	const n = grid.heatCapacity.length;
	const area = (r: number) => (grid.dimension === 0 ? 1 : grid.dimension === 1 ? r : r * r);
	const primitive = (r: number) => r ** (grid.dimension + 1) / (grid.dimension + 1);
	const capacity = new Float64Array(n);
	const volume = new Float64Array(n);
	const between = new Float64Array(n + 1); // conductance at each edge, W/K
	const half = new Float64Array(n); // half-cell resistance per area, m²K/W
	for (let i = 0; i < n; i++) {
		volume[i] = primitive(grid.edgesM[i + 1]!) - primitive(grid.edgesM[i]!);
		capacity[i] = volume[i]! * grid.heatCapacity[i]!;
		half[i] = (grid.edgesM[i + 1]! - grid.edgesM[i]!) / 2 / grid.conductivity[i]!;
	}
	for (let i = 1; i < n; i++) between[i] = area(grid.edgesM[i]!) / (half[i - 1]! + half[i]!);
	const toAir = (h: number, cell: number, edge: number) =>
		h > 0 ? area(grid.edgesM[edge]!) / (1 / h + half[cell]!) : 0;
	between[0] = toAir(grid.innerAir, 0, 0);
	between[n] = toAir(grid.outerAir, n - 1, n);

	const rhs = new Float64Array(n);
	const stage = new Float64Array(n);
	const upper = new Float64Array(n);
	const factorDiag = new Float64Array(n);
	let factoredFor = NaN;

	const airLoss = (temp: Float64Array) =>
		between[0]! * (temp[0]! - grid.airTempC) + between[n]! * (temp[n - 1]! - grid.airTempC);

	/** Net heat into each cell, W. */
	const inflow = (temp: Float64Array, i: number) => {
		const left = i === 0 ? grid.airTempC : temp[i - 1]!;
		const right = i === n - 1 ? grid.airTempC : temp[i + 1]!;
		return between[i]! * (left - temp[i]!) + between[i + 1]! * (right - temp[i]!);
	};

	/** Thomas factors of C + w·L for this weight. */
	const factor = (w: number) => {
		if (w === factoredFor) return;
		factoredFor = w;
		for (let i = 0; i < n; i++) {
			const diagonal = capacity[i]! + w * (between[i]! + between[i + 1]!);
			const lower = i > 0 ? -w * between[i]! : 0;
			factorDiag[i] = diagonal - (i > 0 ? lower * upper[i - 1]! : 0);
			upper[i] = i < n - 1 ? (-w * between[i + 1]!) / factorDiag[i]! : 0;
		}
	};
	const solve = (out: Float64Array, w: number) => {
		rhs[0] = rhs[0]! + w * between[0]! * grid.airTempC;
		rhs[n - 1] = rhs[n - 1]! + w * between[n]! * grid.airTempC;
		for (let i = 0; i < n; i++) {
			const lower = i > 0 ? -w * between[i]! : 0;
			out[i] = (rhs[i]! - (i > 0 ? lower * out[i - 1]! : 0)) / factorDiag[i]!;
		}
		for (let i = n - 2; i >= 0; i--) out[i] = out[i]! - upper[i]! * out[i + 1]!;
	};

	return {
		step(temp, dtS) {
			const w = (GAMMA / 2) * dtS;
			factor(w);
			const loss0 = airLoss(temp);
			for (let i = 0; i < n; i++) rhs[i] = capacity[i]! * temp[i]! + w * inflow(temp, i);
			solve(stage, w);
			const lossStage = airLoss(stage);
			const a = 1 / (GAMMA * (2 - GAMMA));
			const b = (1 - GAMMA) ** 2 / (GAMMA * (2 - GAMMA));
			for (let i = 0; i < n; i++) rhs[i] = capacity[i]! * (a * stage[i]! - b * temp[i]!);
			solve(temp, w);
			return a * w * (loss0 + lossStage) + w * airLoss(temp);
		},
		faceTempC(temp, cell) {
			if (cell >= n - 1) return temp[n - 1]!;
			const [inner, outer] = [1 / half[cell]!, 1 / half[cell + 1]!];
			return (temp[cell]! * inner + temp[cell + 1]! * outer) / (inner + outer);
		},
		innerFaceTempC(temp) {
			if (grid.innerAir <= 0) return temp[0]!;
			const inside = 1 / half[0]!;
			return (temp[0]! * inside + grid.airTempC * grid.innerAir) / (inside + grid.innerAir);
		},
		heatJ: (temp) => temp.reduce((sum, x, i) => sum + capacity[i]! * x, 0),
		releasedJ: (conversion, heatJPerM3) =>
			conversion.reduce((sum, x, i) => sum + volume[i]! * heatJPerM3(i) * x, 0)
	};
}
