import type { KindWords } from './kindWords';
import type { Calculation } from '../../calculation';
import type { CautionTopic } from '../../cautions';
import type { Thing } from '../../compatibility';
import type { WallKind } from '../../cure/wall';
import type { Drawing } from '../../drawing/marks';
import type { MasterRecord } from '../../master/master';
import type { QuantityKind } from '../../units';
import type { WearFamily } from '../../wear/prior';
import type { ChooserInput, Lock } from '../chooserInput';
import type { Closing } from '../details';
import type { MouldInputs } from '../inputs';
import type { MouldMaterials, MouldPlan } from '../planned';
import type { MakingPlan } from '../steps/plan';
import type { MakingStep, ShowQuantity } from '../steps/step';

/** A length in the workshop's units. */
export type Show = (lengthMm: number) => string;

/** Section and plan of a mould, to scale, in mm. */
export interface MouldDrawings {
	section: Drawing;
	plan: Drawing;
}

/** What stands beside a field and at it, by what is typed and planned. */
export interface FieldContext {
	inputs: MouldInputs;
	/** The master's skin is measured from its 3D file. */
	areaFromFile: boolean;
}

/** A field that this kind asks for; its rule is the schema's. */
export type KindField = {
	name: keyof MouldInputs;
	label: string;
	/** Asked only then; always unless given. */
	when?: (inputs: MouldInputs) => boolean;
	hint?: (c: FieldContext) => string;
	/** What counts while it is empty. */
	inForce?: (plan: MouldPlan) => number | undefined;
} & (
	| { as: 'quantity'; quantity: QuantityKind }
	| { as: 'choice'; options: readonly { value: string; label: string }[] }
	| { as: 'thermoplastic' }
	/** A record of the shelf. */
	| { as: 'resin' | 'filler' }
);

/** What speaks against a kind for one master, what asks for care, and what speaks for it. */
export interface Reasons {
	bad: string[];
	care: string[];
	good: string[];
}
type Case = ChooserInput & { lock: Lock; largest: number; master: MasterRecord };

/** Everything that one kind of mould brings. A new kind is one of these, in a folder of its own. */
export interface MouldModule {
	words: KindWords;
	/** A small section on a field of 48 × 30: what is rubber, what is empty, where it opens. */
	glyph: { rubber: string; hollow: string; seam: string };
	fields: readonly KindField[];
	/** What resin it is poured with, and its sprue unless it is open, are asked for. */
	asksForSprue: boolean;
	/** Why no resin is poured into it; empty where resin may be. */
	refusesResin: string;
	/** Its undercuts matter to whether it comes off. */
	mindsUndercuts: boolean;
	closing: Closing;
	/** Hands-on time beside what grows with size, s. */
	handsS: number;
	/** Plans it. @throws InputError at the field with what would do */
	plan(
		inputs: MouldInputs,
		master: MasterRecord,
		materials: MouldMaterials,
		faceTempC: number | undefined
	): MouldPlan;
	draw(
		inputs: MouldInputs,
		plan: MouldPlan,
		master: MasterRecord,
		show: Show,
		letterMm: number
	): MouldDrawings;
	/** How far its drawing reaches, mm. */
	reachMm(inputs: MouldInputs, plan: MouldPlan, master: MasterRecord): number;
	/** The one figure of its plan: a mass of material, or a volume. */
	figure(plan: MouldPlan): { kind: 'mass' | 'volume'; value: number; note?: string };
	/** The wall between resin and air that heat goes through. */
	wall(inputs: MouldInputs): { mm: number; of: WallKind };
	/** Price of a kilogram of what it is made of, and whether what stays in the cup is lost. */
	pricePerKg(materials: MouldMaterials): number | undefined;
	cupIsLost: boolean;
	/** It is degassed in a vessel if the maker wants so. */
	degassed: boolean;
	cautions(inputs: MouldInputs, plan: MouldPlan): readonly CautionTopic[];
	/** How it is opened, as its base board says it. */
	opening(inputs: MouldInputs, plan: MouldPlan): string;
	/** Its family to the wear sums. */
	wearFamily(rubber: { cureKind: string; use: string } | undefined): WearFamily;
	/** What its face is to whatever is poured into it. */
	thing(inputs: MouldInputs, materials: MouldMaterials): Thing | undefined;
	/** Why it suits a master or does not. */
	judge(reasons: Reasons, c: Case): void;
	/** Steps of its making, in the order of the work. */
	steps(plan: MakingPlan, show: ShowQuantity): MakingStep[];
	/** What its making needs beside its pours. */
	making(
		inputs: MouldInputs,
		plan: MouldPlan,
		materials: MouldMaterials
	): Pick<MakingPlan, 'shell' | 'soften' | 'wet'>;
	/** Time from each pour until what was poured may be touched, s. */
	settingS(plan: MouldPlan): number[];
	/** Its entry in the open interface. */
	calculation: Calculation;
}
