import { calculation } from '../calculation';
import { copyCost, costInput } from './cost';

/** `cost` of the open interface. */
export const costCalculation = calculation(
	'cost',
	'What one copy costs: resin, filler, the mould’s share by its expected life, labour, and what is thrown away.',
	costInput,
	{ resinG: 190, resinPerKg: 20, mouldCost: 60, mouldPulls: 30, handsS: 600, hourly: 18, scrapPercent: 10 },
	(_input, raw) => copyCost(raw)
);
