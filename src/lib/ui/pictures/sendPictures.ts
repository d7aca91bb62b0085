/** Sends pictures to be kept, each once by its content. @returns where they are kept, or why it did not go through */
export async function sendPictures(
	pictures: readonly { kept: Blob }[],
	say: (words: string) => void
): Promise<{ ids: string[] } | { why: string }> {
	const ids: string[] = [];
	for (const [i, { kept }] of pictures.entries()) {
		say(`Sending picture ${i + 1} of ${pictures.length}`);
		const response = await fetch('/api/photos', { method: 'POST', body: kept }).catch(() => undefined);
		const answer = (await response?.json().catch(() => undefined)) as
			{ id?: string; errors?: { message: string }[] } | undefined;
		if (!response?.ok || !answer?.id)
			return {
				why:
					answer?.errors?.[0]?.message ??
					'The server did not answer, so nothing is kept yet. Everything is still here: try again.'
			};
		ids.push(answer.id);
	}
	return { ids };
}

/** Fetches pictures that are kept, as if they were taken from files. */
export async function fetchPictures(ids: readonly string[]): Promise<{ files: File[] } | { why: string }> {
	const files: File[] = [];
	for (const [i, id] of ids.entries()) {
		const response = await fetch(`/photos/${id}`).catch(() => undefined);
		if (!response?.ok) return { why: 'A kept picture could not be fetched: try again.' };
		files.push(new File([await response.blob()], `picture ${i + 1}`));
	}
	return { files };
}
