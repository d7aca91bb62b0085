import { json } from '@sveltejs/kit';
import { describeCalculations } from '$lib/core/calc';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = () => json({ calculations: describeCalculations() });
