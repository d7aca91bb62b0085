import type { z } from 'zod';
import type { castableRecord } from '$lib/core/shelf';

export const DEMO_CASTABLES: z.input<typeof castableRecord>[] = [
	{
		name: 'Quarry white',
		sort: 'plaster',
		waterPerPowder: 0.6,
		workS: 480,
		demouldS: 2700,
		pricePerKg: 2.4,
		note: 'Warms after a quarter of an hour.'
	},
	{ name: 'Hive block', sort: 'wax', pourTempC: 72, workS: 240, demouldS: 5400, pricePerKg: 9 },
	{ name: 'Lather base', sort: 'soap', pourTempC: 62, workS: 300, demouldS: 7200, pricePerKg: 6 }
];
