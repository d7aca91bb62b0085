<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import { DEED_WORDS, RIGHT_WORDS, type Right } from '$lib/core/people';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { shortTime } from '$lib/ui/clockText';
	import PageHead from '$lib/ui/PageHead.svelte';
	import AskedForm from '$lib/ui/people/AskedForm.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data, form } = $props();
	const problems = $derived((form && 'problems' in form ? form.problems : {}) as Record<string, string>);
	const typed = $derived((form && 'typed' in form ? form.typed : {}) as Record<string, string>);
	let name = $derived(typed['name'] ?? '');
	let mark = $derived(typed['mark'] ?? '');
	let right = $derived((typed['right'] ?? 'maker') as Right);
	const at = (field: string) => (problems[field] ? [problems[field]] : undefined);
	const RIGHTS = (Object.entries(RIGHT_WORDS) as [Right, string][]).map(([value, label]) => ({ value, label }));
	/** Asked once more before somebody is let go. */
	let leaving = $state('');
	const nameOf = (id: string) => data.people.find((p) => p.id === id)?.name ?? '';
</script>

<PageHead title="People" about="Who works here, what they may do, and where they are signed in." />
{#if !data.wantsSignIn}<p class="slab mb-5 p-5 text-[1.15rem]">
		This workshop listens to this machine alone, so nobody is asked who they are. Started with <code>HOST</code> for a network, it asks.
	</p>{/if}
{#if form && 'code' in form && form.code}
	<section class="slab mb-5 p-5" role="status">
		<p>A code for <strong>{form.for}</strong>, shown this once. It holds a day: they choose a passphrase with it when they sign in.</p>
		<p class="answer mt-2 text-[2rem]">{form.code}</p>
	</section>
{/if}
<div class="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_21rem]">
	<div class="flex min-w-0 flex-col gap-5">
		<section class="slab p-5" aria-label="Who works here">
			{#if problems['']}<p class="mb-2 font-semibold text-(--harm)" role="alert">{problems['']}</p>{/if}
			<ul class="divide-y divide-(--line)">
				{#each data.people as person (person.id)}
					<li class="grid gap-x-4 gap-y-2 py-3 sm:grid-cols-[3.4rem_minmax(0,1fr)_auto]">
						<span class="grid size-11 place-items-center rounded-full border-2 border-(--work) font-bold text-(--work)">{person.mark}</span>
						<span class="min-w-0 self-center"
							><strong class="break-words">{person.name}</strong>
							<span class="soft block">{RIGHT_WORDS[person.right]}{person.hasPassphrase ? '' : ', no passphrase yet'}</span></span>
						<span class="flex flex-wrap items-center gap-2">
							{#each [{ action: 'right', value: person.right === 'keeper' ? 'maker' : 'keeper', label: person.right === 'keeper' ? 'Make a maker' : 'Make a keeper' }, { action: 'code', value: '', label: 'New code' }] as press (press.action)}
								<form method="POST" action="?/{press.action}" use:enhance>
									<input type="hidden" name="id" value={person.id} />
									<input type="hidden" name="name" value={person.name} />
									<input type="hidden" name="right" value={press.value} />
									<Button type="submit" size="sm" color="alternative" aria-label="{press.label}: {person.name}">{press.label}</Button>
								</form>
							{/each}
							<form
								method="POST"
								action="?/leave"
								use:enhance={({ cancel }) => {
									if (leaving !== person.id) {
										leaving = person.id;
										cancel();
									} else leaving = '';
								}}>
								<input type="hidden" name="id" value={person.id} />
								<Button
									type="submit"
									size="sm"
									color="alternative"
									aria-label="{leaving === person.id ? 'Sure: let go' : 'Let go'}: {person.name}"
									>{leaving === person.id ? 'Sure: let go' : 'Let go'}</Button>
							</form>
						</span>
					</li>
				{:else}<li class="py-3">Nobody yet.</li>{/each}
			</ul>
		</section>
		<section class="slab p-5" aria-label="Signed in">
			<h2 class="mb-1">Signed in</h2>
			<ul class="divide-y divide-(--line)">
				{#each data.sessions as s (s.id)}
					<li class="flex flex-wrap items-center justify-between gap-3 py-2">
						<span
							><strong>{nameOf(s.personId)}</strong> on {s.device}{s.id === data.here ? ', here' : ''}<span class="soft block"
								>{s.address}, last used {shortTime(new Date(s.lastUsedAt).getTime(), data.nowMs)}</span
							></span>
						<form method="POST" action="?/end" use:enhance>
							<input type="hidden" name="id" value={s.id} />
							<Button type="submit" size="sm" color="alternative" aria-label="End it: the session of {nameOf(s.personId)} on {s.device}"
								>End it</Button>
						</form>
					</li>
				{:else}<li class="py-2">Nobody is signed in.</li>{/each}
			</ul>
		</section>
		<details class="slab p-5">
			<summary class="font-semibold">What was changed, and by whom</summary>
			<ol class="mt-2 divide-y divide-(--line)">
				{#each data.deeds as d, i (i)}
					<li class="grid grid-cols-[7rem_minmax(0,1fr)] gap-3 py-1.5">
						<span class="soft">{shortTime(new Date(d.at).getTime(), data.nowMs)}</span>
						<span class="break-words">{DEED_WORDS[d.what] ?? d.what}{d.who ? ` by ${d.who}` : ''}{d.about ? `: ${d.about}` : ''}</span>
					</li>
				{:else}<li class="py-1.5">Nothing yet.</li>{/each}
			</ol>
		</details>
	</div>
	<section class="slab p-5" aria-label="Somebody new">
		<h2 class="mb-3">Somebody new</h2>
		<AskedForm action="?/add" label="Add">
			<TextField label="Name" name="name" bind:value={name} error={at('name')} />
			<TextField label="Mark" name="mark" bind:value={mark} error={at('mark')} hint="one to four letters, such as JM" />
			<ChoiceField label="May" name="right" options={RIGHTS} bind:value={right} hint="keepers also manage people, settings and books" />
		</AskedForm>
	</section>
</div>
