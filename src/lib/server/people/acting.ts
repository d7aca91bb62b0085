/** Whoever is signed in where something is kept; nobody where nobody signs in. */
type Signed = { person: { name: string; mark: string } | null };

/** Who keeps something: whoever is signed in stands for it, else whoever was typed. */
export const actingOf = ({ person }: Signed, typed = ''): string => person?.name ?? typed.trim();

/**
 * Who did something that is noted by somebody else at times, such as a look at a vessel: whoever was typed, with the mark
 * of whoever is signed in where the two differ.
 */
export function doneBy({ person }: Signed, typed: string): string {
	const said = typed.trim();
	if (!person) return said;
	const own = [person.name, person.mark].some((w) => w.toLowerCase() === said.toLowerCase());
	return !said || own ? person.name : `${said} (${person.mark})`;
}
