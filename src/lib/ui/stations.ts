import BookOpen from '@lucide/svelte/icons/book-open-text';
import Box from '@lucide/svelte/icons/box';
import Beaker from '@lucide/svelte/icons/beaker';
import CalendarCheck from '@lucide/svelte/icons/calendar-check';
import ChartSpline from '@lucide/svelte/icons/chart-spline';
import CupSoda from '@lucide/svelte/icons/cup-soda';
import FlaskConical from '@lucide/svelte/icons/flask-conical';
import Gauge from '@lucide/svelte/icons/gauge';
import Hammer from '@lucide/svelte/icons/hammer';
import Shapes from '@lucide/svelte/icons/shapes';
import Timer from '@lucide/svelte/icons/timer';
import type { Component } from 'svelte';

export interface Station {
	href: string;
	name: string;
	icon: Component<{ class?: string }>;
	/** It stands on a telephone's rail too, where five have room. */
	near?: true;
}

/** Where things are done, in the order of the work. */
export const STATIONS: readonly Station[] = [
	{ href: '/', name: 'Bench', icon: Hammer, near: true },
	{ href: '/masters', name: 'Masters', icon: Shapes },
	{ href: '/moulds', name: 'Moulds', icon: Box, near: true },
	{ href: '/shelf', name: 'Shelf', icon: FlaskConical },
	{ href: '/cure', name: 'Cure', icon: ChartSpline },
	{ href: '/mix', name: 'Mix', icon: Beaker },
	{ href: '/shots', name: 'Shots', icon: CupSoda, near: true },
	{ href: '/orders', name: 'Orders', icon: CalendarCheck },
	{ href: '/pour', name: 'Pour', icon: Timer, near: true },
	{ href: '/pots', name: 'Pots', icon: Gauge },
	{ href: '/ledger', name: 'Ledger', icon: BookOpen, near: true }
];
