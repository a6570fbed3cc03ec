import { childrenOf } from '@/core/base';
import { cardAt } from '@/hub/sync';

import { DavError } from './davError';
import type { DavAnswer, DavRequest, Resource } from './davRequest';
import { multistatus } from './multistatus';
import { dav } from './names';
import { pathTo } from './properties';
import { namesIn, readBody } from './propfind';
import { viewFor } from './viewFor';
import { element, text } from './writeXml';

/** PROPPATCH (RFC 4918 §9.2): no property is changed from outside, and each is told so. */
export async function proppatch(request: DavRequest, resource: Resource): Promise<DavAnswer> {
  const body = readBody(request.body);
  if (body.name !== dav('propertyupdate')) throw new DavError(400, 'a propertyupdate was expected');
  if (resource.kind === 'card' && !(await cardAt(await viewFor(request, resource), resource.href)))
    throw new DavError(404, 'there is no such card');
  const updates = ['set', 'remove'].flatMap((kind) => childrenOf(body, dav(kind)));
  const names = updates.flatMap((update) =>
    childrenOf(update, dav('prop')).flatMap((prop) => namesIn(prop) ?? []),
  );
  if (names.length === 0) throw new DavError(400, 'no property was named');
  return multistatus([
    element(dav('response'), [
      element(dav('href'), text(pathTo(request.device.user, resource))),
      element(dav('propstat'), [
        element(
          dav('prop'),
          [...new Set(names)].map((name) => element(name)),
        ),
        element(dav('status'), text('HTTP/1.1 403 Forbidden')),
        element(dav('error'), element(dav('cannot-modify-protected-property'))),
      ]),
    ]),
  ]);
}
