import { readFeed } from './readFeed';

const BASE = 'https://quartet.example/news/';

// RFC 4287 §1.1, both examples; names of people changed, spaces between the tags left out.
const BRIEF = `<?xml version="1.0" encoding="utf-8"?>
<feed xmlns="http://www.w3.org/2005/Atom">
  <title>Example Feed</title>
  <link href="http://example.org/"/>
  <updated>2003-12-13T18:30:02Z</updated>
  <author><name>Ada Lowther</name></author>
  <id>urn:uuid:60a76c80-d399-11d9-b93C-0003939e0af6</id>
  <entry>
    <title>Atom-Powered Robots Run Amok</title>
    <link href="http://example.org/2003/12/13/atom03"/>
    <id>urn:uuid:1225c695-cfb8-4ebb-aaaa-80da344efa6a</id>
    <updated>2003-12-13T18:30:02Z</updated>
    <summary>Some text.</summary>
  </entry>
</feed>`;
const EXTENSIVE = `<?xml version="1.0" encoding="utf-8"?>
<feed xmlns="http://www.w3.org/2005/Atom">
  <title type="text">tuning notes</title>
  <subtitle type="html">A &lt;em&gt;lot&lt;/em&gt; of effort went into making this effortless</subtitle>
  <updated>2005-07-31T12:29:29Z</updated>
  <id>tag:example.org,2003:3</id>
  <link rel="alternate" type="text/html" hreflang="en" href="http://example.org/"/>
  <link rel="self" type="application/atom+xml" href="http://example.org/feed.atom"/>
  <rights>Copyright (c) 2003, Bo Ek</rights>
  <generator uri="http://www.example.com/" version="1.0">Example Toolkit</generator>
  <entry>
    <title>Atom draft-07 snapshot</title>
    <link rel="alternate" type="text/html" href="http://example.org/2005/04/02/atom"/>
    <link rel="enclosure" type="audio/mpeg" length="1337" href="http://example.org/audio/first_talk.mp3"/>
    <id>tag:example.org,2003:3.2397</id>
    <updated>2005-07-31T12:29:29Z</updated>
    <published>2003-12-13T08:29:29-04:00</published>
    <author><name>Bo Ek</name><uri>http://example.org/</uri><email>bo@example.com</email></author>
    <contributor><name>Ada Lowther</name></contributor>
    <content type="xhtml" xml:lang="en" xml:base="http://example.org/">
      <div xmlns="http://www.w3.org/1999/xhtml"><p><i>[Update: The Atom draft is finished.]</i></p></div>
    </content>
  </entry>
</feed>`;

// The simple example of the JSON Feed 1.1 specification, with dates added (from memory).
const JSON_FEED = JSON.stringify({
  version: 'https://jsonfeed.org/version/1.1',
  title: 'My Example Feed',
  home_page_url: 'https://example.org/',
  feed_url: 'https://example.org/feed.json',
  items: [
    {
      ...{ id: '2', content_text: 'This is a second item.', url: 'https://example.org/second-item' },
      date_published: '2010-02-07T14:04:00-05:00',
    },
    {
      ...{ id: 1, content_html: '<p>Hello, world!</p>', url: 'https://example.org/initial-post' },
      date_published: '2010-02-06T14:04:00-05:00',
    },
    { id: '3', content_text: 'No day says when.' },
    'no item at all',
  ],
});

// Dates of RFC 822 as RSS 2.0 asks for them; the rest is invented.
const RSS = `<rss version="2.0"><channel><title>Quartet &amp; friends</title><link>https://quartet.example</link>
<item><title>Tour</title><link>/tour</link><guid>t1</guid><pubDate>Sat, 07 Sep 2002 00:00:01 GMT</pubDate>
<description><![CDATA[<p>Six towns &ndash; <b>one</b> week.</p><script>steal()</script>]]></description></item>
<item><title>No day</title></item></channel></rss>`;

const feeds: { name: string; text: string; is: object }[] = [
  {
    name: 'the brief example of Atom',
    text: BRIEF,
    is: {
      title: 'Example Feed',
      posts: [
        {
          id: 'urn:uuid:1225c695-cfb8-4ebb-aaaa-80da344efa6a',
          title: 'Atom-Powered Robots Run Amok',
          uri: 'http://example.org/2003/12/13/atom03',
          at: '2003-12-13T18:30:02.000Z',
          summary: 'Some text.',
        },
      ],
    },
  },
  {
    name: 'the extensive example of Atom: its publication, its page, its XHTML as text',
    text: EXTENSIVE,
    is: {
      title: 'tuning notes',
      posts: [
        {
          id: 'tag:example.org,2003:3.2397',
          title: 'Atom draft-07 snapshot',
          uri: 'http://example.org/2005/04/02/atom',
          at: '2003-12-13T12:29:29.000Z',
          summary: '[Update: The Atom draft is finished.]',
        },
      ],
    },
  },
  {
    name: 'a JSON Feed, items without a day left out',
    text: JSON_FEED,
    is: {
      title: 'My Example Feed',
      posts: [
        {
          ...{ id: '2', title: '', uri: 'https://example.org/second-item' },
          ...{ at: '2010-02-07T19:04:00.000Z', summary: 'This is a second item.' },
        },
        {
          ...{ id: '1', title: '', uri: 'https://example.org/initial-post' },
          ...{ at: '2010-02-06T19:04:00.000Z', summary: 'Hello, world!' },
        },
      ],
    },
  },
  {
    name: 'RSS, relative addresses in full, scripts gone',
    text: RSS,
    is: {
      title: 'Quartet & friends',
      posts: [
        {
          ...{ id: 't1', title: 'Tour', uri: 'https://quartet.example/tour' },
          ...{ at: '2002-09-07T00:00:01.000Z', summary: 'Six towns – one week.' },
        },
      ],
    },
  },
];
for (const { name, text, is } of feeds) {
  test(`reads ${name}`, () => expect(readFeed(text, BASE)).toEqual({ kind: 'feed', feed: is }));
}

const others: { name: string; text: string; is: object }[] = [
  {
    name: 'a page names its feed, Atom before RSS',
    text: `<!DOCTYPE html><html><head><link rel="stylesheet" href="x.css">
      <link type=application/rss+xml rel="alternate" href="rss.xml">
      <link rel='alternate' type='application/atom+xml' href='../feed.atom?a=1&amp;b=2'></head></html>`,
    is: { kind: 'page', feedUri: 'https://quartet.example/feed.atom?a=1&b=2' },
  },
  {
    name: 'a page without a feed',
    text: '<html><link rel="alternate" hreflang="de" href="/de"></html>',
    is: { kind: 'other', message: 'the page at this address names no feed' },
  },
  {
    name: 'an address of a feed that is no web address',
    text: '<html><link rel="alternate" type="application/atom+xml" href="javascript:alert(1)"></html>',
    is: { kind: 'other', message: 'the page at this address names no feed' },
  },
  {
    name: 'JSON that is no feed',
    text: '{"version": 3}',
    is: { kind: 'other', message: 'there is JSON at this address that is no feed' },
  },
  { name: 'XML that is no feed', text: '<a/>', is: { kind: 'other' } },
  { name: 'nothing at all', text: '', is: { kind: 'other' } },
  {
    name: 'a document type, whose entities could grow without end',
    text: '<?xml version="1.0"?><!DOCTYPE feed [<!ENTITY a "aaaa">]><feed>&a;</feed>',
    is: { kind: 'other', message: expect.stringContaining('a document type is not taken') },
  },
];
for (const { name, text, is } of others) {
  test(`tells what it is: ${name}`, () => expect(readFeed(text, BASE)).toMatchObject(is));
}

test('a post is offered to be opened only where its address is one of the web', () => {
  const text = RSS.replace('/tour', 'javascript:steal()');
  expect(readFeed(text, BASE)).toMatchObject({ feed: { posts: [{ id: 't1' }] } });
  expect(JSON.stringify(readFeed(text, BASE))).not.toContain('steal');
});

test('of a long feed the latest are taken, long texts are cut at a word', () => {
  const items = Array.from({ length: 80 }, (_, i) => ({
    ...{ id: String(i), content_text: 'harbour lights '.repeat(60) },
    date_published: new Date(Date.UTC(2026, 0, 1 + i)).toISOString(),
  }));
  const read = readFeed(
    JSON.stringify({ version: 'https://jsonfeed.org/version/1', title: '', items }),
    BASE,
  );
  const posts = read.kind === 'feed' ? read.feed.posts : [];
  expect(posts.map(({ id }) => id)).toEqual(Array.from({ length: 50 }, (_, i) => String(79 - i)));
  expect(posts[0]?.summary).toMatch(/^(harbour lights )+(harbour )?\S+…$/);
  expect([...(posts[0]?.summary ?? '')].length).toBeLessThanOrEqual(280);
});
