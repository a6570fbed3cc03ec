import { FormField, type PartProps } from './FormField';
import { LabelAct } from './LabelAct';
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
      blank={{ label: 'mobile', isPreferred: false, number: '' }}
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
      blank={{ label: 'work', isPreferred: false, address: '' }}
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
          <LabelAct form={props.form} name={`emails.${i}`} noun="mail address" choices={PLACES} />
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
      blank={{ label: '', uri: '' }}
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
      blank={{ label: 'birthday', text: '' }}
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
      blank={{ text: '' }}
      row={(i, isFirst) => (
        <FormField
          form={props.form}
          name={`notes.${i}.text`}
          label={`Note ${i + 1}`}
          isLabelHidden
          isLong
          isFirst={isFirst}
          testID={`note-${i}`}
        />
      )}
    />
  );
}
