"""What a machine makes of the bytes it is sent: read by themselves, without the plan they were written from."""
