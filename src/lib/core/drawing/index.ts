export { PAPER, toSvg, type Drawing, type Mark, type Tone } from './marks';
