export { sprue, sprueInput, type SprueInput, type SprueResult } from './sprue';
