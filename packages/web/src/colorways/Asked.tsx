import { useState } from 'react';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { spoken, type Plan } from '@ythrion/core';

/** What is to be answered before a batch begins, as it is said; each once. */
export interface Answers {
  asked: readonly string[];
  answer: (text: string) => void;
}

/** What some plans ask before they are dyed, less what was answered. */
export function useAnswers(plans: readonly Pick<Plan, 'notices'>[]): Answers {
  const [answered, setAnswered] = useState<ReadonlySet<string>>(new Set());
  const texts = plans.flatMap(({ notices }) =>
    notices.filter(({ asks }) => asks).map((notice) => spoken(notice).text),
  );
  return {
    asked: [...new Set(texts)].filter((text) => !answered.has(text)),
    answer: (text) => setAnswered((before) => new Set([...before, text])),
  };
}

/** Each question, and the key that answers it. */
export const Asked = ({ asked, answer }: Answers) =>
  asked.map((text) => (
    <Typography key={text} variant="body2" component="div">
      {text}{' '}
      <Button size="small" onClick={() => answer(text)} aria-label={`Do it all the same: ${text}`}>
        Do it all the same
      </Button>
    </Typography>
  ));
