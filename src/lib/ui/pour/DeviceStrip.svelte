<script lang="ts">
	import { DEVICES, DEVICE_NAMES, type DeviceKind, type DeviceReading } from '$lib/core/devices';
	import type { Devices } from '../devices.svelte';
	import { useUnits } from '../units.svelte';

	/** What every device says, and whether it can be believed; a press switches one to typing and back. */
	let { devices }: { devices: Devices } = $props();
	const units = useUnits();
	function value(kind: DeviceKind, r: DeviceReading): string {
		if (kind === 'scale') return units.show(r.value, 'mass');
		if (kind === 'gauge') return units.show(r.value, 'pressure');
		const temp = units.show(r.value, 'temperature');
		return r.second === undefined ? temp : `${temp}, ${Math.round(r.second)} %`;
	}
	const wrong = $derived(DEVICES.filter((k) => ['silent', 'nonsense'].includes(devices.state(k))));
</script>

<div class="flex flex-wrap gap-2" role="group" aria-label="Devices">
	{#each DEVICES as kind (kind)}
		{@const state = devices.state(kind)}
		{@const reading = devices.live(kind)}
		<button
			type="button"
			aria-pressed={state !== 'typed'}
			onclick={() => (devices.typed[kind] = !devices.typed[kind])}
			class={[
				'min-h-[2.6rem] rounded-lg border-[1.5px] px-3 text-left text-[0.93rem] leading-tight',
				state === 'silent' || state === 'nonsense'
					? 'border-(--hot) bg-(--hot-soft)'
					: state === 'live'
						? 'border-(--work) bg-(--work-soft)'
						: 'border-(--line-strong) bg-(--paper)'
			]}>
			<span class="soft">{DEVICE_NAMES[kind]}</span>
			<strong class="tnum">
				{#if reading}{value(kind, reading)}{:else if state === 'typed'}typed by hand{:else if state === 'waiting'}listening{:else}{state}{/if}
			</strong>
		</button>
	{/each}
</div>
{#each wrong as kind (kind)}
	<p class="mt-1 font-semibold text-(--hot)" role="alert">
		{DEVICE_NAMES[kind]}: {devices.judged(kind).words}
		<button type="button" class="plain ml-1" onclick={() => (devices.typed[kind] = true)}>Type it by hand</button>
	</p>
{/each}
