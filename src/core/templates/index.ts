/**
 * Templates: texts with what is on each card filled in, and such texts to begin with.
 * Standard: none; ours.
 * Left out: who gets them (core/write).
 */
export { fieldWords, type TemplateContext, type TemplateWords } from './fields';
export { fieldsIn, fillTemplate, labelsOf, missingFields } from './fillTemplate';
export { SHIPPED, type Template } from './shipped';
