import { z } from 'zod';

export const dewPointInput = z.strictObject({
	tempC: z
		.number({ error: 'Type the air temperature, such as 23 C.' })
		.min(-45, 'Below −45 °C the formula does not hold.')
		.max(60, 'Above 60 °C the formula does not hold.'),
	relativeHumidity: z
		.number({ error: 'Type the relative humidity in percent, such as 45.' })
		.positive('Relative humidity is more than 0 %.')
		.max(100, 'Relative humidity is at most 100 %.')
});
