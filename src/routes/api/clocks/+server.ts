import { json } from '@sveltejs/kit';
import { runningClocks } from '$lib/server/repositories/pours';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async () => json({ clocks: await runningClocks(), nowMs: Date.now() });
