export {
  missingLetters,
  textWidth,
  verticalMetrics,
  widthsUpTo,
  type FaceStyle,
  type MeasuredStyle,
  type VerticalMetrics,
} from "./measure-text";
