export { cureOf, mixable, name, note, resinRecord, type MixableResin, type ResinRecord } from './resin';
export { rubberForBlock, rubberRecord, type RubberRecord } from './rubber';
