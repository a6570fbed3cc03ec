/**
 * Splits the text of a JSON array (RFC 8259) that comes in pieces into the texts of its values, without holding more of it
 * than the value that it is in. What isn't JSON inside a value is left to who parses that.
 */
export class ArraySplitter {
  private held = '';
  private depth = 0;
  private isInText = false;
  private isEscaped = false;
  private state: 'before' | 'inside' | 'after' = 'before';

  /** Whether all of the array has come. */
  get isWhole(): boolean {
    return this.state === 'after';
  }

  /** @returns the texts of the values that have become whole with it */
  push(text: string): string[] {
    const values: string[] = [];
    let begin = 0;
    for (let i = 0; i < text.length; i += 1) {
      const char = text[i];
      if (this.isInText) {
        if (this.isEscaped) this.isEscaped = false;
        else if (char === '\\') this.isEscaped = true;
        else if (char === '"') this.isInText = false;
        continue;
      }
      if (this.state !== 'inside') {
        if (this.state === 'before' && char === '[') this.state = 'inside';
        begin = i + 1;
        continue;
      }
      if (char === '"') this.isInText = true;
      else if (char === '{' || char === '[') this.depth += 1;
      else if (this.depth > 0 && (char === '}' || char === ']')) this.depth -= 1;
      else if (this.depth === 0 && (char === ',' || char === ']')) {
        this.take(values, text.slice(begin, i));
        begin = i + 1;
        if (char === ']') this.state = 'after';
      }
    }
    if (this.state === 'inside') this.held += text.slice(begin);
    return values;
  }

  private take(values: string[], rest: string): void {
    const value = (this.held + rest).trim();
    this.held = '';
    if (value !== '') values.push(value);
  }
}
