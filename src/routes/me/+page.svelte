<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import { RIGHT_WORDS } from '$lib/core/people';
	import { shortTime } from '$lib/ui/clockText';
	import PageHead from '$lib/ui/PageHead.svelte';
	import AskedForm from '$lib/ui/people/AskedForm.svelte';
	import QrCode from '$lib/ui/people/QrCode.svelte';
	import PassphraseField from '$lib/ui/people/PassphraseField.svelte';

	let { data, form } = $props();
	const problems = $derived((form && 'problems' in form ? form.problems : {}) as Record<string, string>);
</script>

<PageHead title={data.person?.name ?? ''} about={data.person ? RIGHT_WORDS[data.person.right] : ''}>
	{#snippet actions()}
		<form method="POST" action="?/pair" use:enhance>
			<Button type="submit" size="lg" color="alternative">Pair a tablet</Button>
		</form>
		<form method="POST" action="/sign-in?/out"><Button type="submit" size="lg" color="alternative">Sign out</Button></form>
	{/snippet}
</PageHead>
{#if form && 'pair' in form && form.pair}
	<section class="slab mb-5 grid items-center gap-6 p-5 sm:grid-cols-[16rem_minmax(0,1fr)]" aria-label="Pair a tablet" role="status">
		<QrCode {...form.pair} label="The code as a picture, for the camera of the tablet" />
		<div>
			<h2>Pair a tablet</h2>
			<p class="mt-1">
				Point its camera here, or open <strong class="break-all">{form.pair.at}</strong> on it and type the code. It is good once, for five minutes;
				the tablet then stays signed in for the season.
			</p>
			<p class="answer mt-3 text-[2rem]">{form.pair.code}</p>
		</div>
	</section>
{/if}
<div class="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_24rem]">
	<section class="slab p-5" aria-label="Where you are signed in">
		<h2 class="mb-1">Where you are signed in</h2>
		<ul class="divide-y divide-(--line)">
			{#each data.sessions as s (s.id)}
				<li class="flex flex-wrap items-center justify-between gap-3 py-2">
					<span
						>On {s.device}{s.id === data.here ? ', here' : ''}<span class="soft block"
							>{s.address}, last used {shortTime(new Date(s.lastUsedAt).getTime(), data.nowMs)}</span
						></span>
					{#if s.id !== data.here}<form method="POST" action="?/end" use:enhance>
							<input type="hidden" name="id" value={s.id} />
							<Button type="submit" size="sm" color="alternative" aria-label="End it: the session on {s.device}">End it</Button>
						</form>{/if}
				</li>
			{/each}
		</ul>
	</section>
	<section class="slab p-5" aria-label="Your passphrase">
		<h2 class="mb-3">Your passphrase</h2>
		<AskedForm action="?/passphrase" label="Change it" problem={problems['']}>
			<PassphraseField label="The one that you have" name="old" kind="current" error={problems['old']} />
			<PassphraseField label="A new one" name="passphrase" kind="new" error={problems['passphrase']} hint="your other sessions end" />
		</AskedForm>
		{#if form && 'changed' in form}<p role="status" class="mt-2 font-semibold text-(--work)">It is changed.</p>{/if}
	</section>
</div>
