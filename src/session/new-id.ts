/** Where screens get ids for new parts, faults and the like. */
export { newId } from '../store/new-id.ts'
