export { waterDensityGPerMl } from './waterDensity';
export { displacement, displacementInput, type DisplacementInput } from './displacement';
export { SOLID_SHAPES, solidInput, solidSkinMm2, solidVolumeMl, type Solid, type SolidShape } from './solids';
export { displacementCalculation } from './calculations';
