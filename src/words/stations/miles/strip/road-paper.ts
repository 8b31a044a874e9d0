/** The words of RoadPaper. */
export const words = {
  theRoadOnPaper: 'The road on paper (PDF)',
  road: 'road',
}
