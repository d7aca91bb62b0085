export { waterDensityGPerMl } from './waterDensity';
export { displacement, displacementInput, type DisplacementInput } from './displacement';
export { SOLID_SHAPES, solidInput, type Solid, type SolidShape } from './solidInput';
export { solidSkinMm2, solidVolumeMl } from './solids';
export { displacementCalculation } from './calculations';
