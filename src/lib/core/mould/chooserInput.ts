import { z } from 'zod';

const yesNo = z.enum(['no', 'yes']).default('no');

/** What decides between the ways to make a mould, beside the master's own record. */
export const chooserInput = z.object({
	masterId: z.string().max(40).default(''),
	flatBack: yesNo,
	/** Undercuts when no file says them. */
	undercuts: z.enum(['as its file', 'none', 'shallow', 'deep']).default('as its file'),
	fragile: yesNo,
	hollow: yesNo,
	/** Cold-cast metal skin, which cannot be dressed: no seam. */
	metalSkin: yesNo,
	copies: z
		.number({ error: 'Type how many copies, such as 20.' })
		.int('Copies are whole.')
		.min(1, 'At least one copy.')
		.max(100_000, 'Over a hundred thousand copies: this is not a bench.')
		.default(10),
	rubberId: z.string().max(40).default(''),
	thermoplasticId: z.string().max(40).default(''),
	/** Resin that it will mostly be poured with; empty: not known yet. */
	resinId: z.string().max(40).default('')
});
export type ChooserInput = z.output<typeof chooserInput>;

/** How deep a master locks in what it is moulded in. */
export type Lock = 'none' | 'shallow' | 'deep' | 'not known';

/** Larger than this, a block swallows rubber, mm (common practice, no source). */
export const LARGE_MM = 180;
export const yes = (v: 'yes' | 'no') => v === 'yes';
