// What is put into archives is made by fflate itself; the streams are Node's own (File of the File API).
import { strToU8, zipSync } from 'fflate';

import { readMailFile } from './readMailFile';

const mail = (subject: string) => `Subject: ${subject}\n\nbody\n`;
const calendar = 'BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n';

async function partsOf(content: string | Uint8Array, most = Infinity): Promise<string[]> {
  const parts: string[] = [];
  await readMailFile(new File([content as BlobPart], 'x'), {
    withBodies: false,
    onPart: (part) => {
      const bytes = part.kind === 'mail' ? part.mail.head : part.bytes;
      parts.push(
        `${part.kind} ${Buffer.from(bytes).toString('utf8').replace('\ufeff', '').trim().split('\n')[0]}`,
      );
      return parts.length < most;
    },
  });
  return parts;
}

const cases: { name: string; content: string | Uint8Array; parts: string[] }[] = [
  { name: 'a single message', content: mail('one'), parts: ['mail Subject: one'] },
  {
    name: 'a mailbox',
    content: `From a x\n${mail('one')}\nFrom b x\n${mail('two')}`,
    parts: ['mail Subject: one', 'mail Subject: two'],
  },
  { name: 'a calendar', content: `\ufeff${calendar}`, parts: ['calendar BEGIN:VCALENDAR\r'] },
  {
    name: 'an archive of all of them, hidden files left out',
    content: zipSync({
      'mail/one.eml': strToU8(mail('one')),
      'box.mbox': [strToU8(`From a x\n${mail('two')}`), { level: 0 }],
      'cal.ics': strToU8(calendar),
      '.hidden': strToU8(mail('no')),
      '__MACOSX/x.eml': strToU8(mail('no')),
    }),
    parts: ['mail Subject: one', 'mail Subject: two', 'calendar BEGIN:VCALENDAR\r'],
  },
  { name: 'an empty file', content: '', parts: [] },
];
for (const { name, content, parts } of cases)
  test(`a file of mail: ${name}`, async () => expect(await partsOf(content)).toEqual(parts));

test('reading ends where no more is wanted', async () => {
  const box = Array.from({ length: 5 }, (_, i) => `From a x\n${mail(String(i))}\n`).join('');
  expect(await partsOf(box, 2)).toHaveLength(2);
});
