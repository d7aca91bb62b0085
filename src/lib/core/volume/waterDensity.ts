/**
 * Density of air-free water at one atmosphere, g/ml.
 * Kell, J. Chem. Eng. Data 20 (1975) 97, rational polynomial, valid 0–100 °C.
 * `waterDensityGPerMl(20)` is 0.99821.
 * @throws RangeError outside 0–100 °C.
 * @example
 * waterDensityGPerMl(20); // 0.9982
 */
export function waterDensityGPerMl(tempC: number): number {
	if (!(tempC >= 0 && tempC <= 100)) {
		throw new RangeError(`waterDensityGPerMl: liquid water is 0–100 °C, got ${tempC}`);
	}
	const t = tempC;
	const top =
		999.83952 +
		t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - 280.54253e-12 * t))));
	return top / (1 + 16.87985e-3 * t) / 1000;
}
