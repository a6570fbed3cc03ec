import { texts } from '@/texts/base/platform';

/** Asks for files to open; an empty list where none was chosen. @param accept - as the accept attribute of HTML */
export function pickFiles(accept: string): Promise<File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.multiple = true;
    input.accept = accept;
    input.style.display = 'none';
    input.addEventListener('change', () => {
      resolve([...(input.files ?? [])]);
      input.remove();
    });
    input.addEventListener('cancel', () => {
      resolve([]);
      input.remove();
    });
    document.body.append(input);
    input.click();
  });
}

/** Hands a text, or bytes, to the user as a file. */
export function saveFile(name: string, content: string | Uint8Array | Blob, mediaType: string): void {
  // A large one that has its type already is not put into another: the page would wait for that.
  const isReady = content instanceof Blob && content.type === mediaType;
  const url = URL.createObjectURL(isReady ? content : new Blob([content as BlobPart], { type: mediaType }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // Freed later: some browsers begin reading after the click has returned.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** Hands out a file that is kept as a data: URI. */
export function saveDataUri(name: string, uri: string): void {
  const match = /^data:([^;,]*)[^,]*;base64,(.*)$/s.exec(uri);
  if (!match) throw new Error('the file is damaged');
  const bytes = Uint8Array.from(atob(match[2] ?? ''), (char) => char.charCodeAt(0));
  // Never as something that a browser would run.
  saveFile(name, bytes, 'application/octet-stream');
}

/** A name that every file system takes, made of a title: letters and digits of any script, the rest as hyphens. */
export function fileName(title: string, extension: string): string {
  const plain = title.replace(/[^\p{L}\p{M}\p{N}]+/gu, '-').replace(/^-+|-+$/g, '');
  return `${plain.slice(0, 80) || 'cards'}.${extension}`;
}

/** Takes files that are dropped anywhere on the page. Returns the way to stop. */
export function onFileDrop(take: (files: File[]) => void): () => void {
  const allow = (event: DragEvent) => event.preventDefault();
  const drop = (event: DragEvent) => {
    event.preventDefault();
    const files = [...(event.dataTransfer?.files ?? [])];
    if (files.length > 0) take(files);
  };
  window.addEventListener('dragover', allow);
  window.addEventListener('drop', drop);
  return () => {
    window.removeEventListener('dragover', allow);
    window.removeEventListener('drop', drop);
  };
}

/** Takes text or files that are pasted anywhere but into a field. Returns the way to stop. */
export function onPaste(take: (file: File) => void): () => void {
  const paste = (event: ClipboardEvent) => {
    const isField = event.target instanceof HTMLElement && event.target.closest('input, textarea') !== null;
    const [file] = [...(event.clipboardData?.files ?? [])];
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (isField || (!file && text.trim() === '')) return;
    event.preventDefault();
    take(file ?? new File([text], texts.pastedText, { type: 'text/plain' }));
  };
  window.addEventListener('paste', paste);
  return () => window.removeEventListener('paste', paste);
}

/** Hears of text that is pasted into any field, before it is there. Returns the way to stop. */
export function onFieldPaste(take: (text: string) => void): () => void {
  const paste = ({ target, clipboardData }: ClipboardEvent) => {
    const isField = target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
    if (isField && clipboardData) take(clipboardData.getData('text/plain'));
  };
  window.addEventListener('paste', paste, true);
  return () => window.removeEventListener('paste', paste, true);
}

/**
 * Takes text of several lines that is pasted into a line, which could only keep it without its breaks.
 *
 * @param line - the field, as a ref gives it; none where it isn't drawn yet
 * @returns the way to stop
 */
export function onPasteOfLines(line: unknown, take: (text: string) => void): () => void {
  if (!(line instanceof HTMLElement)) return () => undefined;
  const paste = (event: ClipboardEvent) => {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (!/\S\s*\n\s*\S/.test(text)) return;
    event.preventDefault();
    take(text);
  };
  line.addEventListener('paste', paste);
  return () => line.removeEventListener('paste', paste);
}

/** The bytes of a file as a data: URI. */
export function readAsDataUri(file: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error('the file could not be read'));
    reader.readAsDataURL(file);
  });
}
