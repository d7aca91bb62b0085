declare module 'jstat' {
	interface Distribution {
		pdf(x: number, ...parameters: number[]): number;
		cdf(x: number, ...parameters: number[]): number;
	}
	const jStat: {
		gammaln(x: number): number;
		ibeta(x: number, a: number, b: number): number;
		beta: Distribution;
		gamma: Distribution;
		weibull: Distribution;
		hypgeom: Distribution;
		normal: Distribution & { inv(p: number, mean: number, deviation: number): number };
		betaln(a: number, b: number): number;
		combinationln(n: number, k: number): number;
	};
	export default jStat;
}
