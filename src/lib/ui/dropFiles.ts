import type { Attachment } from 'svelte/attachments';

/** Files may be dropped on an element. @param over told whether something is held over it */
export const dropFiles =
	(give: (files: File[]) => void, over: (is: boolean) => void): Attachment<HTMLElement> =>
	(element) => {
		const onOver = (e: DragEvent) => {
			e.preventDefault();
			over(true);
		};
		const onLeave = () => over(false);
		const onDrop = (e: DragEvent) => {
			e.preventDefault();
			over(false);
			const files = [...(e.dataTransfer?.files ?? [])];
			if (files.length > 0) give(files);
		};
		element.addEventListener('dragover', onOver);
		element.addEventListener('dragleave', onLeave);
		element.addEventListener('drop', onDrop);
		return () => {
			element.removeEventListener('dragover', onOver);
			element.removeEventListener('dragleave', onLeave);
			element.removeEventListener('drop', onDrop);
		};
	};
