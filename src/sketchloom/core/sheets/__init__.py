"""Materials that sheets are cut from, and what goes wrong with them."""
