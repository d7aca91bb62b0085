/** What the log holds about one pull; what was not recorded is left out, and counts neither way. */
export interface Evidence {
	chemistry?: 'urethane' | 'polyester' | 'epoxy' | 'plaster' | 'melt';
	relativeHumidity?: number;
	/** From which humidity this workshop does not pour urethane, percent. */
	stopHumidityPercent?: number;
	/** Mould face over the dew point, °C. */
	dewMarginC?: number;
	roomTempC?: number;
	mouldTempC?: number;
	/** Age of the older tin, days open, and how often it was opened. */
	tinDays?: number;
	tinOpenings?: number;
	/** A to B against the sheet, percent; more than nothing is too much A. */
	ratioErrorPercent?: number;
	ratioTolerancePercent?: number;
	/** Real and planned mixing, s. */
	mixS?: number;
	mixPlannedS?: number;
	/** Each part was stirred in its own container first. */
	stirred?: boolean;
	/** The mould was full so long after combining, and the pot life of its cup, s. */
	pouredS?: number;
	potLifeS?: number;
	/** Cured under pressure. */
	pot?: boolean;
	/** At pressure so long after combining, s. */
	reachedS?: number;
	/** Lowest of the hold, and what was reached, as shares of the target. */
	lowestShare?: number;
	/** Released so long before its slowest place had gelled, s; less than nothing: after it. */
	releasedEarlyS?: number;
	/** Out of the mould so long before its time, as a share of that time; less than nothing: after it. */
	demouldEarlyShare?: number;
	/** Release: waited against its flash-off, as a share; absent without a release that flashes off. */
	coatDryShare?: number;
	/** The mould was looked over, and closed, as steps of this pour. */
	looked?: boolean;
	closed?: boolean;
	/** Pulls that the mould had, and its worst sign, 0–5. */
	mouldPulls?: number;
	mouldWear?: number;
	/** Catalyst against its sheet's usual share, as a ratio. */
	catalystRatio?: number;
	/** Hottest that the part's middle gets by the model, °C. */
	peakC?: number;
	/** Pockets that trap air in the pouring position. */
	traps?: number;
	/** A layer went on past its recoat window, s; absent for a cast in one go. */
	layerLateS?: number;
	layers?: number;
}
