/**
 * Mail and appointments as talks: what was written to whom and when, read from the files of any mail program or calendar.
 * Standard: RFC 4155 (mbox), RFC 5322 and RFC 2047 (messages), RFC 5545 (calendars).
 * Left out: attachments; storing (book); sending (core/sending).
 */
export { type Appointment, readAppointments } from './readAppointments';
export { type Mailbox, type MailHead, readMailHead } from './readMailHead';
export { MonthBuffers } from './monthBuffers';
export { guessOwn } from './guessOwn';
export { type MailPart, MailSplitter } from './mailSplitter';
export { type Correspondence, type OwnMoment, type TalkMatcher, toCorrespondence } from './toCorrespondence';
export { type AppointmentTalks, appointmentTalks } from './appointmentTalks';
