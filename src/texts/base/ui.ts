/** What the parts of every screen say: notices, charts, switches. */
export const texts = {
  drawing: 'Drawing …',
  coming: 'Coming',
  evidence: 'Evidence',
  for: 'For',
  against: 'Against',
  undo: 'Undo',
  close: 'Close',
  closeMessage: 'Close message',
  backTo: (backLabel: string) => `Back to ${backLabel}`,
  stop: 'Stop',
  on: 'On',
  off: 'Off',
  letters: 'Letters',
  tableAfterItSays: (name: string) => `${name}; the table after it says the same`,
  moveUp: (title: string) => `Move ${title} up`,
  moveDown: (title: string) => `Move ${title} down`,
};
