<script lang="ts">
	import { formatQuantity, KINDS, parseQuantity, parseRange, type QuantityKind } from '$lib/core/units';
	import { Input, Label } from 'flowbite-svelte';
	import { fieldClass } from './fieldClass';
	import Explain from './Explain.svelte';
	import FieldNote from './FieldNote.svelte';
	import { PasteGuard } from './paste.svelte';
	import { useUnits } from './units.svelte';
	import { rememberedUnit, rememberUnit, textForEdit, textInForce } from './quantityText';

	interface Props {
		label: string;
		kind: QuantityKind;
		/** Canonical value; `undefined` when empty, NaN when the text is no quantity. */
		value: number | undefined;
		name: string;
		/** What the server or the schema says about it. */
		error?: string[] | undefined;
		hint?: string;
		/** What is used while the field is empty; it stands in it greyed. */
		inForce?: number | undefined;
		/** What is usual where it is left empty, because the sheet does not say. */
		usual?: number | undefined;
		disabled?: boolean;
		/** A range may be typed as a sheet prints it, "2–3 min"; its middle is the value, its ends are told; nothing: no range any more. */
		onRange?: (ends: { low: number; high: number } | undefined) => void;
		/** Label and field on one line; a note only where something is wrong. */
		compact?: boolean;
	}
	let {
		label,
		kind,
		value = $bindable(),
		name,
		error,
		hint = '',
		usual,
		inForce = usual,
		onRange,
		disabled = false,
		compact = false
	}: Props = $props();

	const units = useUnits();
	const uid = $props.id();
	let typed = $state.raw<string>();
	let emitted = $state.raw<number>();
	let remembered = $state.raw<string>();
	/** The unit that stood in the field when it was entered, in it or greyed. */
	let shown = $state.raw<string>();
	/** A bare number is in the unit that the field shows; an empty one that shows none says which it takes. */
	const bareUnit = $derived(shown ?? remembered);
	/** What was typed last was a range. */
	let ranged = false;

	$effect(() => {
		remembered = rememberedUnit(name, kind);
	});

	// what was typed stands as long as the value is the one that it gave
	const own = $derived(typed !== undefined && Object.is(emitted, value));
	const text = $derived(own ? typed! : textForEdit(value, kind, units.system));
	const range = $derived(own && onRange ? parseRange(text, kind, units.system, bareUnit) : undefined);
	const reading = $derived(
		range
			? { ok: true as const, value: range.middle, unit: range.unit, bare: false }
			: own && text.trim()
				? parseQuantity(text, kind, units.system, bareUnit)
				: undefined
	);
	/** What the text was taken for: in the shown units when others were typed, else in the other system. */
	const understood = $derived.by(() => {
		if (value === undefined || !Number.isFinite(value)) return '';
		const here = formatQuantity(value, kind, units.system);
		if (range) return `= ${here}, half way`;
		const there = formatQuantity(value, kind, units.system === 'us' ? 'metric' : 'us');
		if (kind === 'time') return /^[\d.,]+$/.test(text.trim()) || text.includes(':') ? `= ${here}` : '';
		const plain = (s: string) => s.replace(/[\s\u202f°]/g, '').toLowerCase();
		if (here === there) return plain(text) === plain(here) ? '' : `= ${here}`;
		return plain(text) === plain(here) ? `= ${there}` : `= ${here}`;
	});
	/** How it may be typed, as long as nothing stands there. */
	const example = $derived(
		kind === 'number' || kind === 'percent'
			? ''
			: remembered !== undefined && inForce === undefined
				? `a bare number is in ${remembered}`
				: `such as ${KINDS[kind].example.split(/,| or /)[0] ?? ''}`
	);
	const guard = new PasteGuard();
	const problem = $derived(guard.problem || (reading && !reading.ok ? reading.errors[0].message : (error?.[0] ?? '')));
	const wantsNote = $derived(
		kind === 'volume' && /oz/i.test(text) ? 'fluid ounces' : kind === 'mass' && /oz/i.test(text) ? 'weight ounces' : ''
	);

	const note = $derived(
		understood && kind !== 'number' && kind !== 'percent'
			? `${understood}${wantsNote ? ` (${wantsNote})` : ''}${hint ? ` · ${hint}` : ''}`
			: usual !== undefined && text === ''
				? `usual for its kind${hint ? ` · ${hint}` : ''}`
				: hint || (text === '' && inForce === undefined ? example : '')
	);

	function take(input: string) {
		guard.oninput();
		typed = input;
		const ends = onRange && parseRange(input, kind, units.system, bareUnit);
		if (ends || ranged) onRange?.(ends);
		ranged = ends !== undefined;
		const next = input.trim() ? parseQuantity(input, kind, units.system, bareUnit) : undefined;
		emitted = ends ? ends.middle : next === undefined ? undefined : next.ok ? next.value : NaN;
		value = emitted;
	}
	function enter() {
		const stands = text.trim() || textForEdit(inForce, kind, units.system);
		const read = stands ? parseQuantity(stands, kind, units.system, remembered) : undefined;
		shown = read?.ok && !read.bare ? read.unit : undefined;
	}
	function leave() {
		if (!reading?.ok || reading.bare) return;
		rememberUnit(name, reading.unit);
		remembered = reading.unit;
	}
</script>

<div class={compact ? 'grid grid-cols-[1fr_7.5rem] items-center gap-x-3' : 'flex min-w-0 flex-col'}>
	<span class="flex items-center"><Label class="label text-(--ink)!" for={uid}>{label}</Label><Explain word={label} /></span>
	<Input
		id={uid}
		class={fieldClass(!!problem)}
		{name}
		{disabled}
		type="text"
		autocomplete="off"
		spellcheck="false"
		value={text}
		placeholder={textInForce(inForce, kind, units.system)}
		aria-invalid={problem ? 'true' : undefined}
		aria-describedby="{uid}-note"
		oninput={(e: Event) => take((e.currentTarget as HTMLInputElement).value)}
		onpaste={guard.onpaste}
		onfocus={enter}
		onblur={leave} />
	{#if !compact}
		<FieldNote id="{uid}-note" {problem} {note} />
	{:else}
		<div class="col-span-2"><FieldNote id="{uid}-note" {problem} bare /></div>
	{/if}
</div>
