import { learntFrom } from './learnt';

test('several cookings say together what one does not', () => {
  const eater = (liked: -1 | 0 | 1, ...says: string[]) => ({ liked, says });
  const learnt = learntFrom([
    {
      added: ['2 tsp tamari', 'a squeeze of lemon'],
      tookMinutes: 70,
      words: [eater(1, 'again'), eater(-1, 'bland')],
    },
    { added: ['2 tsp Tamari'], tookMinutes: 55, words: [eater(1, 'again')] },
    { added: [], tookMinutes: null, words: [] },
  ]);
  expect(learnt).toEqual({
    times: 3,
    minutes: [55, 55, 70],
    added: [
      { text: '2 tsp tamari', times: 2 },
      { text: 'a squeeze of lemon', times: 1 },
    ],
    liked: 2,
    disliked: 1,
    said: [
      { text: 'again', times: 2 },
      { text: 'bland', times: 1 },
    ],
  });
  expect(learntFrom([]).minutes).toBeNull();
});
