/** Who has access to the directory of the demo: all with one passphrase, which the page says. */
export const DEMO_ACCESS = {
  passphrase: 'harbour lights at nine',
  users: [
    { name: 'Rosario Ames', role: 'administrator' },
    { name: 'Hamish Tait', role: 'editor' },
    { name: 'Priya Ames', role: 'reader' },
  ],
} as const;
