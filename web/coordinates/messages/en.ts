export const EN = {
  latitudeLatitudeIsBeyondThe: 'Latitude {latitude} is beyond the pole: it goes from −90 to 90.',
  longitudeLongitudeIsOutOf: 'Longitude {longitude} is out of range: it goes from −180 to 180.',
  notReadAsCoordinatesTry: 'Not read as coordinates. Try 43.18, -4.83 or 43°10′48″N 4°49′48″W.',
};
