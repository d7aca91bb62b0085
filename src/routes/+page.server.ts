import { readBench } from '$lib/server/repositories/bench';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ bench: await readBench() });
