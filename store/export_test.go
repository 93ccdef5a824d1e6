package store

// Claiming is for tests that hold a tag as one does who claims it.
var Claiming = claiming
