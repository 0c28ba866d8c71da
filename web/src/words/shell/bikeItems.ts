/** What BikeItems says. */
export const changeThisBike = 'Change this bike …';
export const addABike = 'Add a bike …';
