import { Router } from 'express';

import { generateBook, generateCalendar, generateMail, generateTalks } from '@/demo';

/** The invented cards, talks, mailbox and calendar that a demo book begins with. @param day - the day its dates are relative to */
export function demoApi(day: string): Router {
  const router = Router();
  const records = { cards: JSON.stringify(generateBook(day)), talks: JSON.stringify(generateTalks(day)) };
  for (const [name, text] of Object.entries(records))
    router.get(
      `/${name}`,
      (_, response) => void response.type('json').set('Cache-Control', 'no-store').send(text),
    );
  const files = {
    'mailbox.mbox': ['application/mbox', generateMail(day)],
    'calendar.ics': ['text/calendar; charset=utf-8', generateCalendar(day)],
  } as const;
  for (const [name, [type, text]] of Object.entries(files))
    router.get(
      `/${name}`,
      (_, response) => void response.type(type).set('Cache-Control', 'no-store').send(text),
    );
  return router;
}
