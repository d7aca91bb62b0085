import {
	AREA_MM2,
	fahrenheitFromCelsius,
	LENGTH_MM,
	MASS_G,
	PRESSURE_KPA,
	VOLUME_ML,
	FLOW_L_PER_MIN
} from './factors';
import type { QuantityKind, UnitSystem } from './quantity';

const THIN = '\u202f';

/**
 * A number with as many digits as a bench needs: four significant, no trailing noise.
 * @example
 * digits(12.3456); // '12.3'
 */
export function digits(value: number, decimals?: number): string {
	if (!Number.isFinite(value)) return '–';
	const size = Math.abs(value);
	const places = decimals ?? (size >= 100 ? 0 : size >= 10 ? 1 : size >= 1 ? 2 : 3);
	const fixed = value.toFixed(places);
	const short = places > 0 && decimals === undefined ? fixed.replace(/\.?0+$/, '') : fixed;
	// what rounds to nothing has no sign
	return /[1-9]/.test(short) ? short : short.replace('-', '');
}

/**
 * Seconds as people say them: `2:30`, `45 s`, `1 h 20 min`, `2 d 3 h`. Sign kept.
 * @example
 * formatTime(150); // '2:30 min'
 */
export function formatTime(timeS: number): string {
	if (!Number.isFinite(timeS)) return '–';
	const sign = timeS < 0 ? '−' : '';
	const total = Math.round(Math.abs(timeS));
	if (total < 60) return `${sign}${total} s`;
	if (total < 3600) {
		const seconds = total % 60;
		return `${sign}${Math.floor(total / 60)}${seconds ? `:${String(seconds).padStart(2, '0')}` : ''} min`;
	}
	const minutes = Math.round(total / 60);
	const hours = Math.floor(minutes / 60);
	if (hours < 48) return `${sign}${hours} h${minutes % 60 ? ` ${minutes % 60} min` : ''}`;
	return `${sign}${Math.floor(hours / 24)} d${hours % 24 ? ` ${hours % 24} h` : ''}`;
}

/** Inches to the nearest sixteenth when that is what the number is, else two decimals. */
function formatInches(lengthMm: number): string {
	const inches = lengthMm / LENGTH_MM.in;
	const sixteenths = Math.round(inches * 16);
	if (Math.abs(inches * 16 - sixteenths) > 0.01 || inches >= 40) return `${digits(inches)} in`;
	const whole = Math.trunc(sixteenths / 16);
	let top = Math.abs(sixteenths % 16);
	let bottom = 16;
	while (top > 0 && top % 2 === 0) {
		top /= 2;
		bottom /= 2;
	}
	if (top === 0) return `${whole} in`;
	return whole === 0 ? `${top}/${bottom} in` : `${whole} ${top}/${bottom} in`;
}

function formatUs(value: number, kind: QuantityKind): string | undefined {
	switch (kind) {
		case 'length':
			return formatInches(value);
		case 'area':
			return value >= AREA_MM2.ft2
				? `${digits(value / AREA_MM2.ft2)} ft²`
				: `${digits(value / AREA_MM2.in2)} in²`;
		case 'mass': {
			const ounces = value / MASS_G.oz;
			return ounces >= 16 ? `${digits(value / MASS_G.lb)} lb` : `${digits(ounces)} oz`;
		}
		case 'volume':
			return value >= VOLUME_ML.gal
				? `${digits(value / VOLUME_ML.gal)} gal`
				: `${digits(value / VOLUME_ML.floz)} fl oz`;
		case 'temperature':
			return `${digits(fahrenheitFromCelsius(value), 0)} °F`;
		case 'pressure':
			return `${digits(value / PRESSURE_KPA.psi)} psi`;
		case 'viscosity':
			return `${digits(value, 0)} cP`;
		case 'flow':
			return `${digits(value / FLOW_L_PER_MIN.cfm)} cfm`;
		// said in the same words everywhere
		case 'density':
		case 'number':
		case 'percent':
		case 'time':
			return undefined;
	}
}

function formatMetric(value: number, kind: QuantityKind): string {
	switch (kind) {
		case 'length':
			return `${digits(value)} mm`;
		case 'area':
			return Math.abs(value) >= 1e6 ? `${digits(value / 1e6)} m²` : `${digits(value / 100)} cm²`;
		case 'mass':
			return Math.abs(value) >= 10000 ? `${digits(value / 1000)} kg` : `${digits(value)} g`;
		case 'volume':
			return Math.abs(value) >= 1000 ? `${digits(value / 1000)} l` : `${digits(value)} ml`;
		case 'temperature':
			return `${digits(value, Number.isInteger(value) || Math.abs(value) >= 60 ? 0 : 1)} °C`;
		case 'time':
			return formatTime(value);
		case 'pressure':
			return `${digits(value)} kPa`;
		case 'density':
			return `${digits(value, 3)} g/ml`;
		case 'viscosity':
			return `${digits(value, 0)} mPa·s`;
		case 'flow':
			return `${digits(value)} l/min`;
		case 'percent':
			return `${digits(value)} %`;
		case 'number':
			return digits(value);
	}
}

/**
 * A canonical value as text in the unit system asked for, with its unit.
 * @param value canonical (mm, mm², g, ml, °C, s, kPa, g/ml, mPa·s, l/min, %); not finite gives an en dash.
 * @example
 * formatQuantity(28.3495, 'mass', 'us'); // '1\u202foz'
 */
export function formatQuantity(
	value: number | undefined | null,
	kind: QuantityKind,
	system: UnitSystem = 'metric'
): string {
	if (value === undefined || value === null || !Number.isFinite(value)) return '–';
	const text = (system === 'us' ? formatUs(value, kind) : undefined) ?? formatMetric(value, kind);
	return text.replace(/ (?=[^ ]+$)/, THIN);
}

/**
 * The same value in the other unit system, for paper cards and for checking what was typed.
 * @example
 * formatOther(25.4, 'length', 'metric'); // '1\u202fin'
 */
export function formatOther(value: number, kind: QuantityKind, system: UnitSystem): string {
	return formatQuantity(value, kind, system === 'us' ? 'metric' : 'us');
}

/**
 * Whole drops: `1 drop`, `12 drops`.
 * @example
 * formatDrops(1); // '1 drop'
 */
export function formatDrops(drops: number, most?: number): string {
	const whole = Math.round(drops);
	if (most !== undefined && Math.round(most) > whole) return `${whole} to ${Math.round(most)} drops`;
	return `${whole} ${whole === 1 ? 'drop' : 'drops'}`;
}
