/**
 * The simulated mailbox.
 */
export { deliverMail } from './mailbox/deliverMail';
export { listMails, MailFault, newMail, openMail, sendMails } from './mailbox/mailbox';
export { stageMails } from './mailbox/stageMails';
