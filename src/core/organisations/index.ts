/**
 * Organisations and the people in them: a person names the organisation, whose card is found by that name.
 * Standard: ORG of RFC 6350 §6.6.4 carries a name and no id; comparing folded names is common practice.
 * Left out: departments as organisations of their own.
 */
export { indexOrganisations, type OrganisationIndex } from './indexOrganisations';
export { renameOrganisation } from './renameOrganisation';
