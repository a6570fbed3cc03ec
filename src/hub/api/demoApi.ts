import { Router } from 'express';

import { generateBook, generateCalendar, generateMail, generateTalks } from '@/demo';

/**
 * The invented cards, talks, mailbox and calendar that a demo book begins with. @param day - the day its dates are
 * relative to
 */
export function demoApi(day: string): Router {
  const router = Router();
  // Each is requested once, by a new book; generating them at the start would only cost time and memory.
  const make: Readonly<Record<string, readonly [type: string, text: () => string]>> = {
    cards: ['json', () => JSON.stringify(generateBook(day))],
    talks: ['json', () => JSON.stringify(generateTalks(day))],
    'mailbox.mbox': ['application/mbox', () => generateMail(day)],
    'calendar.ics': ['text/calendar; charset=utf-8', () => generateCalendar(day)],
  };
  for (const [name, [type, text]] of Object.entries(make))
    router.get(
      `/${name}`,
      (_, response) => void response.type(type).set('Cache-Control', 'no-store').send(text()),
    );
  return router;
}
