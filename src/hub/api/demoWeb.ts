import type { NextFunction, Request, Response } from 'express';

import { generateFeed } from '@/demo';
import type { NameLookup } from '@/hub/talks';

/** Host names in the demo; both endings are reserved (RFC 2606). */
const DEMO_HOST = /^[a-z0-9.-]+\.example(\.org)?$/;

/** In a demo, the pages of its people are on this machine. @param port - the hub's own */
export function demoLookup(port: number): NameLookup {
  return (host) => (DEMO_HOST.test(host) ? { address: '127.0.0.1', port } : undefined);
}

/** Serves the pages of the demo's people: each has a page that names its feed, and the feed. */
export function demoWeb(today: string) {
  return (request: Request, response: Response, next: NextFunction): void => {
    const host = request.get('host') ?? '';
    if (!DEMO_HOST.test(host)) return next();
    if (request.path === '/feed.atom')
      return void response.type('application/atom+xml').send(generateFeed(host, today));
    const head = '<link rel="alternate" type="application/atom+xml" href="/feed.atom">';
    response
      .type('html')
      .send(`<!doctype html><html lang="en"><head><title>${host}</title>${head}</head></html>`);
  };
}
