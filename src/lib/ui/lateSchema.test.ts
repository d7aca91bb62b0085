import { expect, it, vi } from 'vitest';
import { z } from 'zod';
import { lateSchema } from './lateSchema';

const rules = z.object({ copies: z.number().int('Copies are whole.') });

it('nobody waits for rules that are still on their way: what is typed meanwhile is not set over', async () => {
	let come: (schema: typeof rules) => void = () => {};
	const late = lateSchema(() => new Promise<typeof rules>((resolve) => (come = resolve)));
	const typed = { copies: 1.5 };
	expect(await late.validate(typed)).toEqual({ success: true, data: typed });
	come(rules);
	await vi.waitFor(async () =>
		expect(await late.validate(typed)).toEqual({
			success: false,
			issues: [{ message: 'Copies are whole.', path: ['copies'] }]
		})
	);
	expect(await late.validate({ copies: 2 })).toEqual({ success: true, data: { copies: 2 } });
});

it('rules that cannot be fetched refuse nothing, and are asked for again', async () => {
	const fetched = vi.fn().mockRejectedValueOnce(new Error('away')).mockResolvedValue(rules);
	const late = lateSchema<typeof rules>(fetched);
	expect(await late.validate({ copies: 1.5 })).toMatchObject({ success: true });
	await vi.waitFor(async () =>
		expect(await late.validate({ copies: 1.5 })).toMatchObject({ success: false })
	);
	expect(fetched).toHaveBeenCalledTimes(2);
});
