export { AMOUNTS, bestCell, faultsOf, FEELS, outcomeOf, PEELS, scoreReading } from './reading';
export type { Amount, Outcome, ScrapReading } from './reading';
export { candidatesPlan, FEWEST_CANDIDATES, GRIDS, MOST_CANDIDATES, SETTING_GRIDS, scrapPlan } from './scrap-plan';
export type { Grid, ScrapCell, ScrapPlan, SettingGrid, SprayDose } from './scrap-plan';
export { scrapSteps } from './scrap-steps';
export { doseWords, givesTooMuch, MOST_ROUNDS, sprayPlan, STRIP } from './spray';
export { settingsFound } from './pair-finding';
export type { PairFinding } from './pair-finding';
