import { BLANK_ROWS } from '@/core/card';

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
      title="Phone"
      noun="phone"
      blank={BLANK_ROWS.phones}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`phones.${i}.number`}
            label={`Phone ${i + 1}`}
            isLabelHidden
            kind="tel"
            placeholder="Number"
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
      title="Mail"
      noun="mail address"
      blank={BLANK_ROWS.emails}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`emails.${i}.address`}
            label={`Mail ${i + 1}`}
            isLabelHidden
            kind="email"
            placeholder="name@example.org"
            isFirst={isFirst}
            testID={`mail-${i}`}
          />
          <LabelAct form={props.form} name={`emails.${i}`} noun="mail address" choices={PLACES}>
            <FormField
              form={props.form}
              name={`emails.${i}.shownAs`}
              label="Name shown in mail"
              hint="If it differs from the card’s name"
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
      title="Web"
      noun="web address"
      blank={BLANK_ROWS.links}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`links.${i}.uri`}
            label={`Web address ${i + 1}`}
            isLabelHidden
            kind="url"
            placeholder="example.org"
            isFirst={isFirst}
            testID={`link-${i}`}
          />
          <LabelAct form={props.form} name={`links.${i}`} noun="web address" choices={PLACES} />
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
      title="Days"
      noun="day"
      blank={BLANK_ROWS.dates}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`dates.${i}.text`}
            label={`Day ${i + 1}`}
            isLabelHidden
            placeholder="3 February 1968, or without the year"
            isFirst={isFirst}
            testID={`date-${i}`}
          />
          <LabelAct
            form={props.form}
            name={`dates.${i}`}
            noun="day"
            choices={['birthday', 'wedding day', 'death']}
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
      title="Note"
      noun="note"
      blank={BLANK_ROWS.notes}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`notes.${i}.text`}
            label={`Note ${i + 1}`}
            isLabelHidden
            isLong
            hint="**strong**, *emphasis*, lines with - are a list"
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
      title="Account or chat"
      noun="account"
      blank={BLANK_ROWS.accounts}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`accounts.${i}.text`}
            label={`Account or chat ${i + 1}`}
            isLabelHidden
            kind="text"
            placeholder="User name or address"
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
      title="Interests"
      noun="interest"
      blank={BLANK_ROWS.infos}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`infos.${i}.text`}
            label={`Interests ${i + 1}`}
            isLabelHidden
            kind="text"
            placeholder="Early music"
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

/** Fields of the user’s own; the label is its name. */
export function OwnRows(props: PartProps) {
  return (
    <Rows
      {...props}
      name="ownFields"
      title="Custom fields"
      noun="custom field"
      blank={BLANK_ROWS.ownFields}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`ownFields.${i}.text`}
            label={`Custom fields ${i + 1}`}
            isLabelHidden
            kind="text"
            placeholder="Value"
            isFirst={isFirst}
            testID={`ownFields-${i}`}
          />
          <LabelAct form={props.form} name={`ownFields.${i}`} noun="custom field" choices={[]} />
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
      title="Keys"
      noun="key"
      blank={BLANK_ROWS.keys}
      row={(i, isFirst) => (
        <>
          <FormField
            form={props.form}
            name={`keys.${i}.text`}
            label={`Keys ${i + 1}`}
            isLabelHidden
            kind="url"
            placeholder="https://example.org/key.asc"
            isFirst={isFirst}
            testID={`keys-${i}`}
          />
        </>
      )}
    />
  );
}
