import { expect, it } from 'vitest';
import { dewPointC, dewPointInput } from '.';

// psychrometric tables (WMO No. 8, saturation over water): dew point at air temperature and humidity
it.each([
	[25, 60, 16.7],
	[20, 50, 9.3],
	[30, 80, 26.2],
	[15, 100, 15],
	[10, 40, -3.0]
])('%d °C and %d %% is %d °C', (tempC, relativeHumidity, dew) => {
	expect(dewPointC({ tempC, relativeHumidity })).toBeCloseTo(dew, 0.9);
});

it('refuses humidity of nothing and past saturation', () => {
	expect(dewPointInput.safeParse({ tempC: 20, relativeHumidity: 0 }).success).toBe(false);
	expect(dewPointInput.safeParse({ tempC: 20, relativeHumidity: 101 }).success).toBe(false);
});
