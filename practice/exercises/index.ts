export { EXERCISES, judgeNumber } from './exercise'
export type { ChoiceAnswer, Exercise, ExerciseCode, Facts, NumberAnswer, Shown } from './exercise'
export { ownError } from './own-error'
export { drawExercise, isShown } from './draw'
