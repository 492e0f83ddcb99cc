export { firstSuspect } from '@bay/core/plan';
