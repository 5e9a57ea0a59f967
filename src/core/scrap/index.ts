export { AMOUNTS, bestCell, faultsOf, FEELS, outcomeOf, PEELS, scoreReading } from './reading';
export type { Amount, Outcome, ScrapReading } from './reading';
export { GRIDS, scrapPlan } from './scrap-plan';
export type { Grid, ScrapCell, ScrapPlan } from './scrap-plan';
