export { waterDensityGPerMl } from './waterDensity';
export { displacement, displacementInput, type DisplacementInput } from './displacement';
export { solidInput, solidVolumeMl, type Solid } from './solids';
