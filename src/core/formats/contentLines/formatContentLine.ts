import type { ContentLine } from './contentLine';

/**
 * A property as one logical line, not yet folded. Source: RFC 6350 §3.3; what a parameter's value can't hold
 * (quotes, line breaks, ^) by RFC 6868; other control characters, which no line may have, are left out.
 */
export function formatContentLine({ group, name, params, value }: ContentLine): string {
  let line = group === undefined ? name : `${group}.${name}`;
  for (const [param, values] of Object.entries(params)) {
    if (values.length > 0) line += `;${param}=${values.map(formatParamValue).join(',')}`;
  }
  return `${line}:${value}`.replace(CONTROLS, '');
}

// Tab is a character of text; CR and LF never come this far but in a value that was kept raw.

const CONTROLS = /[\u0000-\u0008\u000a-\u001f\u007f]/g;

function formatParamValue(value: string): string {
  const encoded = value
    .replace(/\^/g, '^^')
    .replace(/\r\n|\r|\n/g, '^n')
    .replace(/"/g, "^'");
  return /[:;,]|^\s|\s$/.test(encoded) ? `"${encoded}"` : encoded;
}
