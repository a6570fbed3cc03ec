/** A text to begin with. */
export interface Template {
  readonly name: string;
  readonly subject: string;
  readonly body: string;
}

/** What ships with the product: the greetings are in the language that each card prefers. */
export const SHIPPED: readonly Template[] = [
  { name: 'Birthday greeting', subject: '{birthday}', body: '{birthday}\n\n' },
  { name: 'Anniversary greeting', subject: '{anniversary}', body: '{anniversary}\n\n' },
  { name: 'Letter', subject: '', body: '{salutation},\n\n\n\n' },
  {
    name: 'Invitation',
    subject: 'An invitation',
    body: '{salutation},\n\nit would be a pleasure to have you with us{if organisation}, and with you {organisation}{end}.\n\n',
  },
  {
    name: 'Is your card right?',
    subject: 'Is this still right?',
    body: '{salutation},\n\nthese are the details I have for you. Please tell me what has changed.\n\n{name}\n{if post}{post}\n{end}{if organisation}{organisation}\n{end}{if address}{address}\n{end}{if number}{number}\n{end}{mail}\n',
  },
];
