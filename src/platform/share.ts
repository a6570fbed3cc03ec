import { texts } from '@/texts/base/platform';

import { saveFile } from './files';

/** How a file went out. */
export type ShareResult = 'shared' | 'saved' | 'stopped';

/** Hands a text file on through the device's share sheet where there is one, else saves it. */
export async function shareFile(name: string, text: string, mediaType: string): Promise<ShareResult> {
  const file = new File([text], name, { type: mediaType.replace(/;.*/, '') });
  if (typeof navigator.canShare === 'function' && navigator.canShare({ files: [file] })) {
    try {
      await navigator.share({ files: [file], title: name });
      return 'shared';
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return 'stopped';
      // Some devices say that they can and then can't; the file is saved instead.
    }
  }
  saveFile(name, text, mediaType);
  return 'saved';
}

/** Prints an HTML document by itself, from a frame that nobody sees. */
export function printPage(html: string): void {
  const frame = document.createElement('iframe');
  frame.title = texts.pageToPrint;
  frame.style.cssText = 'position:fixed;right:100%;width:210mm;height:297mm;border:0';
  frame.addEventListener('load', () => {
    frame.contentWindow?.addEventListener('afterprint', () => frame.remove());
    frame.contentWindow?.print();
  });
  frame.srcdoc = html;
  document.body.append(frame);
}
