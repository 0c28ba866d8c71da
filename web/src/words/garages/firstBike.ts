/** What FirstBike says. */
export const firstTheBike = 'First, the bike';
export const fiveAnswersDrawItNext = 'Five answers draw it. Next you measure';
export const oneFastener = 'one fastener';
export const andTheRestFollows = ', and the rest follows.';
export const correctTheMarkedNumbersTo = 'Correct the marked numbers to see the drawing.';
export const luggageAndStorageChooseWhat = 'Luggage and storage: choose what this bike has';
export const addThisBike = 'Add this bike';
export const lookAroundWithASample = 'Look around with a sample bike';
export const sampleBike = 'Sample bike';
export const usualOnSuchABike = 'usual on such a bike';
export const addASampleBike = 'add a sample bike';
export const yourBike = 'Your bike';
