export { castsNeeded, yieldOf } from './needed';
export { handsTimes, USUAL_HOURS, workshopHours, type HandsTime, type WorkshopHours } from './hours';
export { MOST_COPIES, orderLine, orderRecord, type OrderLine, type OrderRecord } from './order';
export { orderForm, orderTyped, recordTyped, type OrderForm } from './form';
export { hoursForm, hoursTyped, hoursShown, type HoursForm } from './hoursForm';
export { OPEN_STATES, ORDER_STATES, ORDER_STATE_WORDS, type OrderState } from './states';
export { PART_WORDS } from './words';
export { mateWords, potMatesIn, type PotMate } from './potMates';
export { planOrders, type OrderOutlook, type OrdersPlan, type Planned } from './planOrders';
export type { PlanBudget } from './settled';
export { PARTS, type Part } from './parts';
export { HORIZON_DAYS } from './project';
export { stillWanted, type Hindrance } from './pulls';
export type {
	BegunPull,
	LineToPlan,
	MouldToPlan,
	OrderToPlan,
	PullRecipe,
	Stock,
	Take,
	Workshop
} from './snapshot';
export { outlooks, USUAL_RUNS, type Outlook } from './chance';
export { planDifferences, type Moved, type PlanDifferences } from './differences';
export { keptOrdersPlan, type KeptOrdersPlan } from './kept';
export { pullRecipe, UNBOOKED } from './recipe';
export { runList, type RunLine } from './runList';
export { buyingList, coatsWanted, type Buying } from './buying';
export { mixedOf, type Mixed } from './mixed';
export { mendingS, type CastsSeen } from './mending';
export { orderPrice, type CopyParts, type LineCost, type OrderPrice } from './price';
export { improving, type PlanProgress } from './improvePlan';
export { planFrom } from './planFrom';
export { whatHelps, type Help } from './whatHelps';
