export { waterDensityGPerMl } from './waterDensity';
export { displacement, displacementInput, type DisplacementInput } from './displacement';
export { SOLID_SHAPES, solidInput, solidVolumeMl, type Solid, type SolidShape } from './solids';
