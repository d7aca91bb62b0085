import type { Project } from './project';

/** The project with some of its activities, and of the rules between them. */
export function only(project: Project, ids: ReadonlySet<string>): Project {
	return {
		resources: project.resources,
		activities: project.activities
			.filter((a) => ids.has(a.id))
			.map((a) => ({ ...a, after: a.after?.filter((x) => ids.has(x.id)) }))
	};
}

/** Ids left when one after another is left out as long as what makes the rest of them wrong stays. */
export function fewest(
	project: Project,
	ids: readonly string[],
	isWrong: (part: Project) => boolean
): string[] {
	let left = [...ids];
	for (const id of ids) {
		const fewer = left.filter((other) => other !== id);
		if (fewer.length > 0 && isWrong(only(project, new Set(fewer)))) left = fewer;
	}
	return left;
}
