/**
 * Cards as screens read them: tags, organisations, news from the history.
 */
export { selectOrganisations } from './selectOrganisations';
export { selectTags, type TagCount } from './selectTags';
export { useNewsOf } from './useNewsOf';
