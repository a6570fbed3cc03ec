// Has the tests of the hub open their stores on the PostgreSQL server that they are run with.
process.env.CORDIALIS_TEST_STORE = process.env.TEST_POSTGRES;
