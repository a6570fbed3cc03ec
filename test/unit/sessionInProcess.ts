import { childOf, childrenOf, readXml, type XmlElement } from '@/core/base';
import { DavError } from '@/hub/dav/davError';
import type { DavAnswer, DavRequest } from '@/hub/dav/davRequest';
import { deleteCardResource } from '@/hub/dav/deleteCardResource';
import { bookPath, card as carddav, dav } from '@/hub/dav/names';
import { putCardResource } from '@/hub/dav/putCardResource';
import { report } from '@/hub/dav/report';
import type { HubDb } from '@/hub/store';
import type { DavSession } from '@/hub/sync';
import { listDevices } from '@/hub/sync';

const XML = 'xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"';

/** A device's session with a hub in the same process: the same requests and answers, without a network between them. */
export function openSession(db: HubDb, user: string, version: '3.0' | '4.0', now: () => string): DavSession {
  const request = async (
    method: string,
    body = '',
    headers: Record<string, string> = {},
  ): Promise<DavRequest> => {
    const device = (await listDevices(db)).find((one) => one.user === user);
    if (!device) throw new Error('no such device');
    return { db, device, method, header: (name) => headers[name], body, now: now(), country: 'GB' };
  };
  const ask = async (body: string) => {
    const answer = await report(await request('REPORT', body), { kind: 'book' });
    let text = '';
    for await (const piece of typeof answer.body === 'string' ? [answer.body] : (answer.body ?? []))
      text += piece;
    return readXml(text);
  };
  return {
    news: async (syncToken) => {
      const changes = await ask(
        `<d:sync-collection ${XML}><d:sync-token>${syncToken}</d:sync-token><d:sync-level>1</d:sync-level><d:prop><d:getetag/></d:prop></d:sync-collection>`,
      );
      const responses = childrenOf(changes, dav('response'));
      const there = responses.filter((one) => !childOf(one, dav('status')));
      const hrefs = there.map((one) => `<d:href>${textOf(one, 'href')}</d:href>`).join('');
      const served =
        hrefs === ''
          ? []
          : childrenOf(
              await ask(
                `<c:addressbook-multiget ${XML}><d:prop><d:getetag/><c:address-data content-type="text/vcard" version="${version}"/></d:prop>${hrefs}</c:addressbook-multiget>`,
              ),
              dav('response'),
            );
      return {
        listed: syncToken === '' ? there.map(lastPartOf) : undefined,
        syncToken: childOf(changes, dav('sync-token'))?.text ?? '',
        gone: responses.filter((one) => childOf(one, dav('status'))).map(lastPartOf),
        changed: served.flatMap((one) => {
          const prop = childOf(childOf(one, dav('propstat')), dav('prop'));
          const text = childOf(prop, carddav('address-data'))?.text ?? '';
          return text === ''
            ? []
            : [{ href: lastPartOf(one), etag: childOf(prop, dav('getetag'))?.text ?? '', text }];
        }),
      };
    },
    put: async (href, text, etag) => {
      const condition =
        etag === undefined ? {} : etag === '' ? { 'if-none-match': '*' } : { 'if-match': etag };
      const headers = { 'content-type': 'text/vcard', ...condition };
      return statusOf(putCardResource(await request('PUT', text, headers), href));
    },
    remove: async (href, etag) =>
      statusOf(
        deleteCardResource(await request('DELETE', '', etag === undefined ? {} : { 'if-match': etag }), href),
      ),
  };

  function lastPartOf(response: XmlElement): string {
    return decodeURIComponent(textOf(response, 'href').slice(bookPath(user).length));
  }
}

function textOf(response: XmlElement, name: string): string {
  return childOf(response, dav(name))?.text ?? '';
}

async function statusOf(answer: Promise<DavAnswer>): Promise<number> {
  try {
    return (await answer).status;
  } catch (error) {
    if (error instanceof DavError) return error.status;
    throw error;
  }
}
