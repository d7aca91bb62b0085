import { json } from '@sveltejs/kit';
import { CALCULATIONS, runCalculation } from '$lib/core/calc';
import { withKeysOfToday } from '$lib/core/openData';
import { readJson } from '$lib/server/body';
import { asker } from '$lib/server/heavy/asker';
import { heavy } from '$lib/server/heavy/pool';
import type { RequestHandler } from './$types';

const errors = (message: string, status: number) => json({ errors: [{ path: '', message }] }, { status });

const unknown = (name: string) =>
	errors(
		`There is no calculation "${name.slice(0, 60)}". Known: ${CALCULATIONS.map((c) => c.name).join(', ')}.`,
		404
	);

export const POST: RequestHandler = async (event) => {
	const { params, request } = event;
	const asked = CALCULATIONS.find((c) => c.name === params.name);
	if (!asked) return unknown(params.name);
	const body = await readJson(request);
	if (!body.ok) return json({ errors: body.errors }, { status: body.status });
	const input = withKeysOfToday(body.value);
	const outcome = asked.long
		? await heavy('calculate', { name: asked.name, input }, asker(event))
		: runCalculation(asked.name, input)!;
	return outcome.ok ? json(outcome.value) : json({ errors: outcome.errors }, { status: 422 });
};

export const GET: RequestHandler = ({ params }) =>
	CALCULATIONS.some((c) => c.name === params.name)
		? errors('Send the input as JSON with POST; GET /api/calc lists the schemas.', 405)
		: unknown(params.name);
