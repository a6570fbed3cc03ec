import { BLANK_ROWS } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/edit';

import { FormField, type PartProps } from './FormField';
import { LabelAct } from './LabelAct';
import { LinkCardAct } from './LinkCardAct';
import { RemindAct } from './RemindAct';
import { Rows } from './Rows';

const PLACES = ['work', 'home'];

/** Phone numbers. */
export function PhoneRows(props: PartProps) {
  const choices = ['mobile', 'work', 'home', 'work mobile', 'main', 'fax'];
  return (
    <Rows
      {...props}
      name="phones"
      title={texts.phone}
      noun="phone"
      blank={BLANK_ROWS.phones}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`phones.${i}.number`}
            label={texts.phoneNumbered(i + 1)}
            isLabelHidden
            kind="tel"
            placeholder={texts.number}
            isFirst={isFirst}
            testID={`phone-${i}`}
          />
          <LabelAct form={props.form} name={`phones.${i}`} noun="phone" choices={choices} />
        </>
      )}
    />
  );
}

/** Mail addresses. */
export function MailRows(props: PartProps) {
  return (
    <Rows
      {...props}
      name="emails"
      title={texts.mail}
      noun={texts.mailAddress}
      blank={BLANK_ROWS.emails}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`emails.${i}.address`}
            label={texts.mailNumbered(i + 1)}
            isLabelHidden
            kind="email"
            placeholder={texts.nameExampleOrg}
            isFirst={isFirst}
            testID={`mail-${i}`}
          />
          <LabelAct form={props.form} name={`emails.${i}`} noun={texts.mailAddress} choices={PLACES}>
            <FormField
              form={props.form}
              name={`emails.${i}.shownAs`}
              label={texts.nameShownInMail}
              hint={texts.ifItDiffersFromCards}
            />
          </LabelAct>
        </>
      )}
    />
  );
}

/** Web addresses. */
export function LinkRows(props: PartProps) {
  return (
    <Rows
      {...props}
      name="links"
      title={texts.web}
      noun={shared.webAddress}
      blank={BLANK_ROWS.links}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`links.${i}.uri`}
            label={texts.webAddress(i + 1)}
            isLabelHidden
            kind="url"
            placeholder={texts.exampleOrg}
            isFirst={isFirst}
            testID={`link-${i}`}
          />
          <LabelAct form={props.form} name={`links.${i}`} noun={shared.webAddress} choices={PLACES} />
        </>
      )}
    />
  );
}

/** Birthday, wedding day and other days of the year. */
export function DateRows(props: PartProps) {
  return (
    <Rows
      {...props}
      name="dates"
      title={texts.days}
      noun="day"
      blank={BLANK_ROWS.dates}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`dates.${i}.text`}
            label={texts.day(i + 1)}
            isLabelHidden
            placeholder={texts.from3February1968OrWithout}
            isFirst={isFirst}
            testID={`date-${i}`}
          />
          <LabelAct
            form={props.form}
            name={`dates.${i}`}
            noun="day"
            choices={['birthday', texts.weddingDay, 'death']}
          />
        </>
      )}
    />
  );
}

/** Notes. */
export function NoteRows(props: PartProps) {
  return (
    <Rows
      {...props}
      name="notes"
      title={texts.note}
      noun="note"
      blank={BLANK_ROWS.notes}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`notes.${i}.text`}
            label={texts.noteNumbered(i + 1)}
            isLabelHidden
            isLong
            hint={texts.strongEmphasisLinesWithAreList}
            isFirst={isFirst}
            testID={`note-${i}`}
          />
          <LinkCardAct form={props.form} index={i} />
          <RemindAct form={props.form} index={i} />
        </>
      )}
    />
  );
}

/** Names on services, and chat addresses; the label is the service. */
export function AccountRows(props: PartProps) {
  return (
    <Rows
      {...props}
      name="accounts"
      title={shared.accountOrChat}
      noun="account"
      blank={BLANK_ROWS.accounts}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`accounts.${i}.text`}
            label={texts.accountOrChat(i + 1)}
            isLabelHidden
            kind="text"
            placeholder={texts.userNameOrAddress}
            isFirst={isFirst}
            testID={`accounts-${i}`}
          />
          <LabelAct form={props.form} name={`accounts.${i}`} noun="account" choices={[]} />
        </>
      )}
    />
  );
}

/** Interests, hobbies, what somebody is good at. */
export function InfoRows(props: PartProps) {
  return (
    <Rows
      {...props}
      name="infos"
      title={texts.interests}
      noun="interest"
      blank={BLANK_ROWS.infos}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`infos.${i}.text`}
            label={texts.interestsNumbered(i + 1)}
            isLabelHidden
            kind="text"
            placeholder={texts.earlyMusic}
            isFirst={isFirst}
            testID={`infos-${i}`}
          />
          <LabelAct
            form={props.form}
            name={`infos.${i}`}
            noun="interest"
            choices={['interest', 'hobby', 'expertise']}
          />
        </>
      )}
    />
  );
}

/** Custom fields; the label is the field's name. */
export function OwnRows(props: PartProps) {
  return (
    <Rows
      {...props}
      name="ownFields"
      title={texts.customFields}
      noun={texts.customField}
      blank={BLANK_ROWS.ownFields}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`ownFields.${i}.text`}
            label={texts.customFieldsNumbered(i + 1)}
            isLabelHidden
            kind="text"
            placeholder={texts.value}
            isFirst={isFirst}
            testID={`ownFields-${i}`}
          />
          <LabelAct form={props.form} name={`ownFields.${i}`} noun={texts.customField} choices={[]} />
        </>
      )}
    />
  );
}

/** Keys for encrypted mail. */
export function KeyRows(props: PartProps) {
  return (
    <Rows
      {...props}
      name="keys"
      title={texts.keys}
      noun="key"
      blank={BLANK_ROWS.keys}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`keys.${i}.text`}
            label={texts.keysNumbered(i + 1)}
            isLabelHidden
            kind="url"
            placeholder={texts.httpsExampleOrgKey}
            isFirst={isFirst}
            testID={`keys-${i}`}
          />
        </>
      )}
    />
  );
}
