import type { DeviceView } from '@/hub/sync';

import { type DataRequest, partOf, PLAIN_VERSION_3 } from './addressData';
import { type DavRequest, isOfDirectory, type Resource } from './davRequest';
import type { SeenForm } from './forms';
import {
  bookPath,
  card as carddav,
  cardPath,
  CTAG,
  dav,
  homePath,
  MAX_RESOURCE_OCTETS,
  principalPath,
  ROOT,
} from './names';
import { element, text, type Xml } from './writeXml';

/** What properties are calculated from. */
export interface PropertySource {
  readonly request: DavRequest;
  readonly view: DeviceView;
  readonly resource: Resource;
  /** Of a card. */
  readonly seen?: SeenForm;
  /** How the client wants address-data; undefined where it doesn't ask for it. */
  readonly wish?: DataRequest | undefined;
}

type Property = (source: PropertySource) => readonly Xml[] | Xml | undefined;

const href = (path: string) => element(dav('href'), text(path));
const user = ({ request }: PropertySource) => request.device.user;
const onlyBook =
  (property: Property): Property =>
  (source) =>
    source.resource.kind === 'book' ? property(source) : undefined;
const onlyCard =
  (property: (seen: SeenForm, source: PropertySource) => Xml): Property =>
  (source) =>
    source.seen ? property(source.seen, source) : undefined;

/** Live properties: RFC 4918 §15, RFC 3744 §4 and §5, RFC 5397, RFC 6352 §6.2 and §7.1, RFC 6578 §4. */
export const PROPERTIES: Readonly<Record<string, Property>> = {
  [dav('resourcetype')]: ({ resource: { kind } }) => {
    if (kind === 'card') return [];
    const collection = element(dav('collection'));
    if (kind === 'principal') return [collection, element(dav('principal'))];
    return kind === 'book' ? [collection, element(carddav('addressbook'))] : collection;
  },
  [dav('displayname')]: (source) => (source.resource.kind === 'card' ? undefined : text(nameOf(source))),
  [dav('current-user-principal')]: (source) => href(principalPath(user(source))),
  [dav('principal-URL')]: (source) =>
    source.resource.kind === 'principal' ? href(principalPath(user(source))) : undefined,
  [dav('principal-collection-set')]: () => href(`${ROOT}principals/`),
  [dav('owner')]: (source) => href(principalPath(user(source))),
  [dav('alternate-URI-set')]: ({ resource }) => (resource.kind === 'principal' ? [] : undefined),
  [dav('group-membership')]: ({ resource }) => (resource.kind === 'principal' ? [] : undefined),
  [carddav('addressbook-home-set')]: (source) =>
    source.resource.kind === 'principal' ? href(homePath(user(source))) : undefined,
  [dav('current-user-privilege-set')]: ({ request, resource }) => privilegesIn(request, resource),
  [dav('supported-privilege-set')]: () => SUPPORTED_PRIVILEGES,
  [dav('acl')]: ({ request, resource }) =>
    element(dav('ace'), [
      element(dav('principal'), href(principalPath(request.device.user))),
      element(dav('grant'), privilegesIn(request, resource)),
      element(dav('protected')),
    ]),
  [dav('acl-restrictions')]: () => [element(dav('grant-only')), element(dav('no-invert'))],
  [dav('inherited-acl-set')]: () => [],
  [dav('group-member-set')]: ({ resource }) => (resource.kind === 'principal' ? [] : undefined),
  [dav('supported-report-set')]: ({ resource: { kind } }) =>
    (kind === 'book'
      ? [carddav('addressbook-multiget'), carddav('addressbook-query'), dav('sync-collection')]
      : []
    ).map((name) => element(dav('supported-report'), element(dav('report'), element(name)))),
  [carddav('supported-address-data')]: onlyBook(() =>
    ['3.0', '4.0'].map((version) =>
      element(carddav('address-data-type'), [], { 'content-type': 'text/vcard', version }),
    ),
  ),
  [carddav('supported-collation-set')]: onlyBook(() =>
    ['i;ascii-casemap', 'i;unicode-casemap'].map((name) =>
      element(carddav('supported-collation'), text(name)),
    ),
  ),
  [carddav('addressbook-description')]: onlyBook(() =>
    text('The cards that this device’s passport lets through'),
  ),
  [carddav('max-resource-size')]: onlyBook(() => text(String(MAX_RESOURCE_OCTETS))),
  [dav('sync-token')]: onlyBook(({ view }) => text(view.token)),
  [CTAG]: onlyBook(({ view }) => text(view.token)),
  [dav('getetag')]: onlyCard(({ etag }) => text(etag)),
  [dav('getcontenttype')]: onlyCard(() => text('text/vcard; charset=utf-8')),
  [dav('getcontentlength')]: onlyCard(({ octets = 0 }) => text(String(octets))),
  [carddav('address-data')]: onlyCard(({ text: whole = '' }, { wish }) =>
    text(partOf(whole, wish ?? PLAIN_VERSION_3)),
  ),
};

/** Properties returned for allprop (RFC 4918 §9.1). */
export const ALL_PROPERTIES = [
  'resourcetype',
  'displayname',
  'getetag',
  'getcontenttype',
  'getcontentlength',
].map(dav);

function nameOf({ resource, request }: PropertySource): string {
  if (resource.kind === 'principal') return request.device.name;
  return isOfDirectory(resource) ? 'Common directory' : 'Cordialis';
}

const PRIVILEGES: readonly (readonly [string, string, readonly string[]])[] = [
  ['read', 'Read cards', ['read-current-user-privilege-set', 'read-acl']],
  ['write', 'Change cards', ['write-content', 'write-properties', 'bind', 'unbind']],
];

/** RFC 3744 §5.3: the privileges there are, and what they hold. */
const SUPPORTED_PRIVILEGES = supportedPrivilege('all', 'Everything', [
  ...PRIVILEGES.map(([name, about, parts]) =>
    supportedPrivilege(
      name,
      about,
      parts.map((part) => supportedPrivilege(part, part.replaceAll('-', ' '), [])),
    ),
  ),
]);

function supportedPrivilege(name: string, about: string, parts: readonly Xml[]): Xml {
  return element(dav('supported-privilege'), [
    element(dav('privilege'), element(dav(name))),
    element(dav('description'), text(about), { 'xml:lang': 'en' }),
    ...parts,
  ]);
}

function privilegesIn(request: DavRequest, resource: Resource): Xml[] {
  return privilegesOf(request, resource).map((name) => element(dav('privilege'), element(dav(name))));
}

/** RFC 3744 §3: what the passport allows. */
function privilegesOf({ device }: DavRequest, resource: Resource): string[] {
  const { kind } = resource;
  const reads = ['read', 'read-current-user-privilege-set'];
  if (isOfDirectory(resource)) return reads;
  if (device.direction === 'out' || (kind !== 'book' && kind !== 'card')) return reads;
  return [...reads, 'write', 'write-content', ...(kind === 'book' ? ['bind', 'unbind'] : [])];
}

/** The path of a resource, as served. */
export function pathOf({ request, resource }: PropertySource): string {
  return pathTo(request.device.user, resource);
}

/** The same for a device's user. */
export function pathTo(owner: string, resource: Resource): string {
  switch (resource.kind) {
    case 'root':
      return ROOT;
    case 'principal':
      return principalPath(owner);
    case 'home':
      return homePath(owner);
    case 'book':
      return bookPath(owner, resource.isDirectory);
    case 'card':
      return cardPath(owner, resource.href, resource.isDirectory);
  }
}
