export { inZone, instant, instantAt, readInstant, showInstant, addMinutes, minutesBetween, secondOf, type Zoned } from './instant'
export { placeLocal, isTimeZone, isDate, isClock, addDays, weekdayOf, dateOf, clockOf, type LocalMoment, type Placed } from './local'
export { lastOpenBefore, openSpans, wakingFrom, type Hours, type Span, type Weekday, weekdays } from './opening'
export { sayClock, sayMinute, sayDay, sayDayClock, sayShortDay, roundUpToHour } from './say'
