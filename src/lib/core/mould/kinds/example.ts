/** An ordinary tin rubber, for the examples of the open interface. */
export const RUBBER_EXAMPLE = {
	densityGPerMl: 1.1,
	ratio: { by: 'weight' as const, a: 100, b: 10 },
	workingTimeS: 2400,
	cureTimeS: 57_600,
	refTempC: 23,
	cureKind: 'condensation' as const
};
