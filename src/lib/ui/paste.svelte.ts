/** More than any field takes; a browser lays out such a text for minutes, so it is stopped at the paste. */
const MAX_PASTE = 20_000;

/** Keeps a paste that no field could take out of it, and says so at the field. What was there stays. */
export class PasteGuard {
	problem = $state('');

	readonly onpaste = (event: ClipboardEvent): void => {
		const length = event.clipboardData?.getData('text').length ?? 0;
		if (length <= MAX_PASTE) {
			this.problem = '';
			return;
		}
		event.preventDefault();
		this.problem = `That paste has ${length.toLocaleString('en-GB')} characters: it was not put in. Paste less; what stood here is kept.`;
	};

	readonly oninput = (): void => {
		this.problem = '';
	};
}
