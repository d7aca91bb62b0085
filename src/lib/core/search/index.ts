export { search, type Findable } from './search';
