/** Said on the window when what runs may have changed, so that the strip asks again at once. */
export const CLOCKS_CHANGED = 'anthypos-clocks';
/** Said on the window when the strip heard of other clocks than before: somebody did something, on whatever device. */
export const CLOCKS_MOVED = 'anthypos-clocks-moved';

/** From here on seconds say nothing, s. */
const DAYS_FROM_S = 48 * 3600;

/** Time left as a clock shows it: `2:05`, `1:04:09`, `2 d 3 h`, and `+0:30` once it has run out. */
export function countdown(leftS: number): string {
	const total = Math.floor(Math.abs(leftS) + (leftS >= 0 ? 0.999 : 0));
	const seconds = String(total % 60).padStart(2, '0');
	const minutes = Math.floor(total / 60) % 60;
	const hours = Math.floor(total / 3600);
	const text =
		total >= DAYS_FROM_S
			? `${Math.floor(hours / 24)} d ${hours % 24} h`
			: hours > 0
				? `${hours}:${String(minutes).padStart(2, '0')}:${seconds}`
				: `${minutes}:${seconds}`;
	return leftS < 0 ? `+${text}` : text;
}

/** Late for so long it is no longer a matter of walking over, s. */
const LONG_LATE_S = 10 * 60;
/** How late a clock is that has run out: just due, or long ago. */
export const lateness = (leftS: number): 'due' | 'long' | undefined =>
	leftS > 0 ? undefined : leftS > -LONG_LATE_S ? 'due' : 'long';

// by hand: the browser's own formatter takes a twentieth of a second to be opened, while the page comes to life
const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;
const MONTHS = 'Jan Feb Mar Apr May Jun Jul Aug Sept Oct Nov Dec'.split(' ');
const two = (n: number) => String(n).padStart(2, '0');
const TIMES = {
	'24': (at: Date) => `${two(at.getHours())}:${two(at.getMinutes())}`,
	'12': (at: Date) =>
		`${at.getHours() % 12 || 12}:${two(at.getMinutes())}\u202f${at.getHours() < 12 ? 'AM' : 'PM'}`
} as const;
type ClockHours = keyof typeof TIMES;
/** One workshop has one clock; its layout sets it before anything is shown. */
let clockHours: ClockHours = '24';
export const setClockHours = (hours: ClockHours): void => {
	clockHours = hours;
};
const timeOf = (at: Date) => TIMES[clockHours](at);
/** A moment of this device's wall clock to the second: `14:05:09`, `2:05:09 PM`. */
export const secondTime = (atMs: number): string =>
	timeOf(new Date(atMs)).replace(/:\d\d/, (minutes) => `${minutes}:${two(new Date(atMs).getSeconds())}`);
const dayMonth = (at: Date) => `${at.getDate()} ${MONTHS[at.getMonth()]!}`;
const dayYear = (at: Date) => `${dayMonth(at)} ${at.getFullYear()}`;

/** A moment as the wall clock of this device says it: `14:05`, with the day when it is not today. */
export function wallTime(atMs: number, nowMs: number): string {
	const at = new Date(atMs);
	const time = timeOf(at);
	if (at.toDateString() === new Date(nowMs).toDateString()) return time;
	return `${dayName(atMs)}, ${time}`;
}

/** A day of this device's wall clock: `Tue 1 Dec`. */
export function dayName(atMs: number): string {
	const at = new Date(atMs);
	return `${DAYS[at.getDay()]!} ${dayMonth(at)}`;
}

/** A moment short enough for a column: `22 Nov 14:05`, with the year once it is another one. */
export function shortTime(atMs: number, nowMs: number): string {
	const at = new Date(atMs);
	const otherYear = at.getFullYear() !== new Date(nowMs).getFullYear();
	return `${(otherYear ? dayYear : dayMonth)(at)} ${timeOf(at)}`;
}

/** A day with its year: `22 Nov 2026`. */
export const longDay = (atMs: number) => dayYear(new Date(atMs));

/** `1 pull`, `7 pulls`. */
export function counted(n: number, thing: string): string {
	return `${n} ${thing}${n === 1 ? '' : 's'}`;
}

/** A title inside a sentence: its first letter small, names and parts as they are. */
export const lowerFirst = (title: string) => title.charAt(0).toLowerCase() + title.slice(1);
