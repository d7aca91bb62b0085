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
