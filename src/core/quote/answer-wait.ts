/** The wait for a customer's answer to a question or a quote, by the id of that. What may go on without the answer is the route's to say. */
export const answerWaitId = (askedId: string): string => `${askedId}-answer`;
export const isAnswerWait = (waitId: string): boolean => waitId.endsWith('-answer');

/** The wait that rings for a customer's question about a quote, until the quote is answered or replaced. */
export const questionWaitId = (quoteId: string): string => `${quoteId}-question`;

/** Two days without an answer, and somebody rings the customer, ms. */
export const ANSWER_MS = 2 * 86_400_000;
