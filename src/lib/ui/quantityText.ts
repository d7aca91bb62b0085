import {
	fahrenheitFromCelsius,
	formatQuantity,
	KINDS,
	type QuantityKind,
	type UnitSystem
} from '$lib/core/units';

/** So large are pots and chambers, which are spoken of in litres; a bare number that is typed over a cup's is in millilitres. */
const VESSEL_ML = 10_000;

/** Text that a field shows for a value that nobody typed here: with its unit, six digits at most. */
export function textForEdit(value: number | undefined, kind: QuantityKind, system: UnitSystem): string {
	if (value === undefined || !Number.isFinite(value)) return '';
	if (kind === 'number') return String(Number(value.toPrecision(8)));
	if (kind === 'time') {
		if (value >= 60 && value < 3600 && value % 60 !== 0) {
			return `${Math.floor(value / 60)}:${String(Math.round(value % 60)).padStart(2, '0')}`;
		}
		if (value >= 3600 && value % 3600 === 0) return `${value / 3600} h`;
		return value >= 60 && value % 60 === 0 ? `${value / 60} min` : `${Number(value.toPrecision(6))} s`;
	}
	if (kind === 'temperature') {
		return system === 'us'
			? `${Number(fahrenheitFromCelsius(value).toPrecision(5))} F`
			: `${Number(value.toPrecision(5))} C`;
	}
	if (system === 'us' && kind !== 'density' && kind !== 'percent') {
		return formatQuantity(value, kind, 'us').replace(/\u202f/g, ' ');
	}
	if (kind === 'volume' && value >= VESSEL_ML) return `${Number((value / 1000).toPrecision(6))} l`;
	return `${Number(value.toPrecision(6))} ${KINDS[kind].canonical}`.trim();
}

/** What an empty field goes by, greyed in it: often worked out, so that more than four digits would look surer than it is. */
export const textInForce = (value: number | undefined, kind: QuantityKind, system: UnitSystem): string =>
	textForEdit(value === undefined ? undefined : Number(value.toPrecision(4)), kind, system);

const PREFIX = 'unit:';

/** The unit last typed into this field on this device, if it still fits the kind. */
export function rememberedUnit(name: string, kind: QuantityKind): string | undefined {
	if (typeof localStorage === 'undefined') return undefined;
	const unit = localStorage.getItem(PREFIX + name);
	return unit !== null && unit in KINDS[kind].factors ? unit : undefined;
}

export function rememberUnit(name: string, unit: string): void {
	try {
		localStorage.setItem(PREFIX + name, unit);
	} catch {
		// a full or forbidden store only means that the unit is not remembered
	}
}
