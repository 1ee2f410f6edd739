import { t } from '@jasperwren/words/questions';
import { QuestionPicture } from '../drawings/QuestionPicture';
import { ChooseHand, ChooseMeaning } from './ChooseCard';
import styles from './drill.module.css';
import type { CardProps } from './card-props';
import { FindCard } from './FindCard';
import { OrderCard } from './OrderCard';
import { RevealCard } from './RevealCard';
import { TypeCard } from './TypeCard';

/** One card: the question, and the way it is answered this time. */
export function CardBody(props: CardProps) {
  const { question, fresh } = props.card;
  return (
    <article className={styles.card} aria-label={question.topic}>
      <p className="muted">
        {question.topic}
        {fresh && t('new')}
      </p>
      <h2>{question.ask}</h2>
      <QuestionPicture question={question} />
      <Answer {...props} />
    </article>
  );
}

function Answer(props: CardProps) {
  switch (props.card.mode) {
    case 'reveal':
      return <RevealCard {...props} />;
    case 'type':
      return <TypeCard {...props} />;
    case 'order':
      return <OrderCard {...props} />;
    case 'find':
      return <FindCard {...props} />;
    case 'hand':
      return <ChooseHand {...props} />;
    case 'sign':
      return <ChooseMeaning {...props} />;
  }
}
