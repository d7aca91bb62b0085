export { deviceCommand, type DeviceCommand } from './reading';
export { DEVICES, DEVICE_NAMES, type DeviceKind, type DeviceReading } from './kinds';
export { instrumentInput, postedReading, type InstrumentInput, type PostedReading } from './instrument';
export { loadG, noise, potGaugeKpa, SIMULATED, simulatedReading, type SimulatedShop } from './simulated';
export { judgeReading, SILENT_AFTER_S, type DeviceState, type Judgement } from './judge';
export { weighing, type Weighing } from './weigh';
export { simulatedShop, type ShopChange } from './shop';
