import {
	AREA_MM2,
	DENSITY_G_PER_ML,
	FLOW_L_PER_MIN,
	LENGTH_MM,
	MASS_G,
	PRESSURE_KPA,
	TIME_S,
	VISCOSITY_MPAS,
	VOLUME_ML
} from './factors';

/** What a quantity field can ask for. Each is kept in one canonical unit. */
export type QuantityKind =
	| 'length'
	| 'area'
	| 'mass'
	| 'volume'
	| 'temperature'
	| 'time'
	| 'pressure'
	| 'density'
	| 'viscosity'
	| 'flow'
	| 'percent'
	| 'number';

/** Which way numbers are shown. */
export type UnitSystem = 'metric' | 'us';

interface KindInfo {
	/** Canonical unit, as shown. */
	readonly canonical: string;
	/** The unit meant when a bare number is typed, by unit system. */
	readonly bare: Readonly<Record<UnitSystem, string>>;
	/** Factor to the canonical unit, by unit id. */
	readonly factors: Readonly<Record<string, number>>;
	/** How a person would name what is wanted, for messages. */
	readonly noun: string;
	readonly example: string;
}

/** Facts of each kind. Temperatures carry no factor: they are shifted, not scaled. */
export const KINDS: Readonly<Record<QuantityKind, KindInfo>> = {
	length: {
		canonical: 'mm',
		bare: { metric: 'mm', us: 'in' },
		factors: LENGTH_MM,
		noun: 'a length',
		example: '60 mm or 2 3/8 in'
	},
	area: {
		canonical: 'mm²',
		bare: { metric: 'cm2', us: 'in2' },
		factors: AREA_MM2,
		noun: 'an area',
		example: '420 cm2 or 65 in2'
	},
	mass: {
		canonical: 'g',
		bare: { metric: 'g', us: 'oz' },
		factors: MASS_G,
		noun: 'a weight',
		example: '120 g, 3 oz or 1 lb 2 oz'
	},
	volume: {
		canonical: 'ml',
		bare: { metric: 'ml', us: 'floz' },
		factors: VOLUME_ML,
		noun: 'a volume',
		example: '85 ml, 3 oz (fluid) or 25 in3'
	},
	temperature: {
		canonical: '°C',
		bare: { metric: 'c', us: 'f' },
		factors: { c: 1, f: 1, k: 1 },
		noun: 'a temperature',
		example: '23 C or 73 F'
	},
	time: {
		canonical: 's',
		bare: { metric: 'min', us: 'min' },
		factors: TIME_S,
		noun: 'a time',
		example: '2:30, 45 s or 1 h 20 min'
	},
	pressure: {
		canonical: 'kPa',
		bare: { metric: 'kpa', us: 'psi' },
		factors: PRESSURE_KPA,
		noun: 'a pressure',
		example: '275 kPa, 2.8 bar or 40 psi'
	},
	density: {
		canonical: 'g/ml',
		bare: { metric: 'g/ml', us: 'g/ml' },
		factors: { ...DENSITY_G_PER_ML, 'in3/lb': NaN },
		noun: 'a density',
		example: '1.05 g/ml or 25 in3/lb'
	},
	viscosity: {
		canonical: 'mPa·s',
		bare: { metric: 'mpas', us: 'cp' },
		factors: VISCOSITY_MPAS,
		noun: 'a viscosity',
		example: '150 mPas or 150 cps'
	},
	flow: {
		canonical: 'l/min',
		bare: { metric: 'l/min', us: 'cfm' },
		factors: FLOW_L_PER_MIN,
		noun: 'an air delivery',
		example: '120 l/min or 4.2 cfm'
	},
	percent: {
		canonical: '%',
		bare: { metric: '%', us: '%' },
		factors: { '%': 1 },
		noun: 'a percentage',
		example: '10 %'
	},
	number: {
		canonical: '',
		bare: { metric: '', us: '' },
		factors: { '': 1 },
		noun: 'a number',
		example: '3'
	}
};

/** Every spelling that people type, and the unit id that it means. Lower case, no spaces or dots. */
export const SPELLINGS: Readonly<Record<string, string>> = {
	mm: 'mm',
	millimetre: 'mm',
	millimetres: 'mm',
	millimeter: 'mm',
	millimeters: 'mm',
	cm: 'cm',
	centimetre: 'cm',
	centimetres: 'cm',
	m: 'm',
	metre: 'm',
	metres: 'm',
	in: 'in',
	inch: 'in',
	inches: 'in',
	'"': 'in',
	ft: 'ft',
	foot: 'ft',
	feet: 'ft',
	"'": 'ft',
	mm2: 'mm2',
	cm2: 'cm2',
	sqcm: 'cm2',
	m2: 'm2',
	sqm: 'm2',
	in2: 'in2',
	sqin: 'in2',
	ft2: 'ft2',
	sqft: 'ft2',
	g: 'g',
	gr: 'g',
	gram: 'g',
	grams: 'g',
	gramme: 'g',
	grammes: 'g',
	mg: 'mg',
	kg: 'kg',
	kilo: 'kg',
	kilos: 'kg',
	oz: 'oz',
	ounce: 'oz',
	ounces: 'oz',
	lb: 'lb',
	lbs: 'lb',
	pound: 'lb',
	pounds: 'lb',
	ml: 'ml',
	millilitre: 'ml',
	millilitres: 'ml',
	milliliter: 'ml',
	milliliters: 'ml',
	cc: 'ml',
	cm3: 'ml',
	cl: 'cl',
	l: 'l',
	litre: 'l',
	litres: 'l',
	liter: 'l',
	liters: 'l',
	mm3: 'mm3',
	in3: 'in3',
	cuin: 'in3',
	floz: 'floz',
	usfloz: 'floz',
	fluidounce: 'floz',
	fluidounces: 'floz',
	impfloz: 'impfloz',
	ukfloz: 'impfloz',
	cup: 'cup',
	cups: 'cup',
	pt: 'pint',
	pint: 'pint',
	pints: 'pint',
	qt: 'quart',
	quart: 'quart',
	quarts: 'quart',
	gal: 'gal',
	usgal: 'gal',
	gallon: 'gal',
	gallons: 'gal',
	c: 'c',
	'°c': 'c',
	celsius: 'c',
	f: 'f',
	'°f': 'f',
	fahrenheit: 'f',
	k: 'k',
	s: 's',
	sec: 's',
	secs: 's',
	second: 's',
	seconds: 's',
	min: 'min',
	mins: 'min',
	minute: 'min',
	minutes: 'min',
	h: 'h',
	hr: 'h',
	hrs: 'h',
	hour: 'h',
	hours: 'h',
	d: 'day',
	day: 'day',
	days: 'day',
	pa: 'pa',
	kpa: 'kpa',
	bar: 'bar',
	mbar: 'mbar',
	hpa: 'mbar',
	psi: 'psi',
	psig: 'psi',
	atm: 'atm',
	'g/ml': 'g/ml',
	'g/cm3': 'g/ml',
	'g/cc': 'g/ml',
	'kg/l': 'g/ml',
	'kg/m3': 'kg/m3',
	'lb/ft3': 'lb/ft3',
	'lb/gal': 'lb/gal',
	'in3/lb': 'in3/lb',
	'cuin/lb': 'in3/lb',
	mpas: 'mpas',
	cp: 'cp',
	cps: 'cp',
	pas: 'pas',
	poise: 'p',
	p: 'p',
	'l/min': 'l/min',
	lpm: 'l/min',
	'm3/h': 'm3/h',
	cfm: 'cfm',
	scfm: 'cfm',
	'%': '%',
	percent: '%',
	pc: '%'
};
